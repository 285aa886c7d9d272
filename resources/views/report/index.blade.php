<x-layout :title="__('report.index')">
    <h1>{{ __('report.index') }}</h1>
    @forelse($rounds as $r)
        <section class="reported">
            <h2>{{ $r['round']->name }} <span class="small quiet">{{ $r['day'] }}</span></h2>
            @if($r['waits'])
                <p class="quiet">{{ __('report.waits') }}</p>
            @else
                <p>
                    <a href="{{ route('reports.show', $r['round']) }}"><b>{{ __('report.of') }}</b></a>
                    <span class="small quiet">{{ __('report.of-says') }}</span>
                    <a class="small" href="{{ route('reports.pdf', $r['round']) }}">{{ __('letter.pdf') }}</a>
                </p>
                <p>
                    <a href="{{ route('reports.board', $r['round']) }}"><b>{{ __('report.for-board') }}</b></a>
                    <span class="small quiet">{{ __('report.for-board-says') }}</span>
                    <a class="small" href="{{ route('reports.board.pdf', $r['round']) }}">{{ __('letter.pdf') }}</a>
                </p>
                <p>
                    <b>{{ __('report.letters') }}</b>
                    @foreach($r['people'] as $person)
                        <a href="{{ route('agreement.letter', [$r['round'], $person]) }}">{{ $person->name }}</a>@if(! $loop->last), @endif
                    @endforeach
                </p>
                <p><a href="{{ route('agreement', $r['round']) }}">{{ __('report.files') }}</a></p>
            @endif
        </section>
    @empty
        <p class="quiet">{{ __('report.none') }}</p>
    @endforelse
</x-layout>
