<x-layout :title="$title">
    <h1>{{ $title }}</h1>
    <p class="words">{{ $text }}</p>
    <a class="act second" href="{{ route('today') }}">{{ __('sight.back') }}</a>
</x-layout>
