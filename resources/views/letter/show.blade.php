<x-layout :title="__('letter.page').' – '.$person->name">
    <p class="small no-print">
        <a href="{{ route('agreement.person', [$round, $person->id]) }}">{{ $round->name }}</a> ·
        <a href="{{ route('agreement.letter.pdf', [$round, $person->id]) }}">{{ __('letter.pdf') }}</a>
    </p>
    <article class="words letter">
        @include('letter.text')
    </article>
</x-layout>
