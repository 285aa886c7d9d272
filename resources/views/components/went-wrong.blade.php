{{-- What happened, what was kept, where to go. Stands without a session and without the database. --}}
@props(['code'])
<x-layout :title="__('errors.'.$code.'.title')">
    <x-slot:head><script type="module" src="@part('js/back.js')"></script></x-slot:head>
    <h1>{{ __('errors.'.$code.'.title') }}</h1>
    <p class="words">{{ __('errors.'.$code.'.says') }}</p>
    <p class="ways">
        <a class="act" href="/">{{ __('errors.today') }}</a>
        <button class="act second" type="button" data-back hidden>{{ __('errors.back') }}</button>
    </p>
    {{ $slot }}
</x-layout>
