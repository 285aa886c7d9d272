<x-layout :title="$title">
    <h1>{{ $title }}</h1>
    <p class="small on-screen">
        <a href="{{ route('reports.show', $round) }}">{{ __('report.of') }}</a> ·
        <a href="{{ route('reports.board.pdf', $round) }}">{{ __('letter.pdf') }}</a>
        <button type="button" class="plain" data-print>{{ __('report.print') }}</button>
    </p>
    <script type="module" src="@part('js/debrief/print.js')"></script>
    <article class="report board">
        @include('report.board-text')
    </article>
</x-layout>
