{{-- A curve with the threshold of a rule and the value that was read off it. --}}
@props(['chart', 'says'])
<svg viewBox="0 0 {{ $chart::WIDTH }} {{ $chart::HEIGHT }}" role="img" aria-label="{{ $says }}">
    @if($chart->window)
        <rect class="window" x="{{ $chart->window[0] }}" y="{{ $chart::TOP }}" width="{{ $chart->window[1] }}"
            height="106" />
    @endif
    @foreach($chart->stations as $station)
        <line class="notch" x1="{{ $station->x }}" x2="{{ $station->x }}" y1="{{ $chart::TOP }}"
            y2="{{ $chart::FOOT }}" />
        <text class="station" x="{{ $station->x }}" y="{{ $station->y }}">{{ $station->text }}</text>
    @endforeach
    @foreach($chart->ticks as $tick)
        <text class="tick" x="{{ $tick->x }}" y="{{ $tick->y }}" dy="3.5">{{ $tick->text }}</text>
    @endforeach
    <path class="curve" d="{{ $chart->curve }}" />
    @if($chart->level !== null)
        <line class="limit" x1="{{ $chart::LEFT }}" x2="376" y1="{{ $chart->level }}" y2="{{ $chart->level }}" />
    @endif
    @if($chart->moment !== null)
        <line class="limit" x1="{{ $chart->moment }}" x2="{{ $chart->moment }}" y1="{{ $chart::TOP }}"
            y2="{{ $chart::FOOT }}" />
    @endif
    @if($chart->whisker)
        <line class="whisker" x1="{{ $chart->whisker[0] }}" x2="{{ $chart->whisker[1] }}" y1="{{ $chart->whisker[2] }}"
            y2="{{ $chart->whisker[3] }}" />
    @endif
    @if($chart->dot)
        <circle class="read" cx="{{ $chart->dot[0] }}" cy="{{ $chart->dot[1] }}" r="3.6" />
    @endif
</svg>
