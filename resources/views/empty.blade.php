<x-layout :title="$title">
    <h1>{{ $title }}</h1>
    <p style="margin: 1rem 0; max-width: 44rem">{{ $text }}</p>
    <a class="act second" href="{{ route('today') }}">Back to Today</a>
</x-layout>
