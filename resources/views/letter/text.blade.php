{{-- The letter itself, on a page and on paper. --}}
<p>{{ __('letter.dear', ['first' => $first]) }}</p>
@if($calls === 0)
    <p>{{ __('letter.none') }}</p>
@else
    <p>{{ __('letter.about', ['round' => $round->name, 'day' => $day, 'calls' => $calls]) }}</p>
    <h2>{{ __('letter.well') }}</h2>
    @forelse($well as $line)
        <p>{{ $line }}</p>
    @empty
        <p>{{ __('letter.no-well') }}</p>
    @endforelse
    <h2>{{ __('letter.next') }}</h2>
    @forelse($next as $n)
        <p><b>{{ $n['says'] }}</b> {{ $n['lookFor'] }}</p>
        @if($n['cases'])
            <p>{{ __('letter.again') }}</p>
            <ul>
                @foreach($n['cases'] as $case)
                    <li>
                        @if($case['url'] && empty($paper))
                            <a href="{{ $case['url'] }}">{{ $case['says'] }}</a>
                        @else
                            {{ $case['says'] }}
                        @endif
                    </li>
                @endforeach
            </ul>
        @endif
    @empty
        <p>{{ __('letter.no-next') }}</p>
    @endforelse
    @if($times)
        <h2>{{ __('letter.times') }}</h2>
        @foreach($times as $line)
            <p>{{ $line }}</p>
        @endforeach
    @endif
    @if($drills)
        <h2>{{ __('letter.drill') }}</h2>
        <p>{{ $drills }}</p>
        <p class="small">{{ __('cautions.drills') }}</p>
    @endif
    <h2>{{ __('letter.unsaid') }}</h2>
    <p>{{ $unsaid ?: __('letter.nothing-unsaid') }}</p>
    @if($withheld)
        <p>{{ __('letter.withheld') }}</p>
    @endif
@endif
<p class="small">{{ __('letter.key') }}</p>
