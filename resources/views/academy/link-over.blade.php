<x-layout :title="__('login.over.page')">
    <div class="login">
        <x-ribbon :width="400" />
        <h1>{{ __('login.over.page') }}</h1>
        <p>{{ __('login.over.says') }}</p>
        <p><a class="act second" href="{{ route('login') }}">{{ __('login.page') }}</a></p>
    </div>
</x-layout>
