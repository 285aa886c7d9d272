<x-layout :title="__('debrief.join.title')">
    <h1>{{ __('debrief.join.head') }}</h1>
    <p class="words">{{ __('debrief.join.says') }}</p>
    <form method="post" action="{{ route('join.in') }}">
        @csrf
        <label class="small quiet" for="code">{{ __('debrief.join.code') }}</label>
        <input class="input code" id="code" name="code" inputmode="numeric" autocomplete="off" maxlength="7"
            value="{{ old('code', $code) }}" required>
        <p class="below"><button class="act big">{{ __('debrief.join.go') }}</button></p>
    </form>
</x-layout>
