<x-layout :title="__('sight.page')">
    <h1>{{ __('sight.page') }}</h1>
    <p class="words">{{ __("sight.$why") }}</p>
    <p>
        <a class="act" href="{{ route('read.next') }}">{{ __('sight.next') }}</a>
        <a href="{{ route('today') }}">{{ __('sight.today') }}</a>
    </p>
</x-layout>
