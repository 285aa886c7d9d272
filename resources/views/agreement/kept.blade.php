{{-- A round that keeps cases for later ones, before one of its readers. --}}
<x-layout :title="$round->name">
    <h1>{{ $round->name }}</h1>
    <p class="words">{{ __('agreement.kept') }}</p>
    <a class="act" href="{{ route('agreement.letter', [$round, $person->id]) }}">{{ __('agreement.kept-letter') }}</a>
</x-layout>
