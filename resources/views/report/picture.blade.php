{{-- Estimates with intervals as a picture of its own: with presentation attributes alone, for who knows no style. --}}
<svg xmlns="http://www.w3.org/2000/svg" width="{{ $chart->width }}" height="{{ $chart->height }}"
    viewBox="0 0 {{ $chart->width }} {{ $chart->height }}" font-family="DejaVu Sans" font-size="11">
    @foreach($chart->ticks as $tick)
        <line x1="{{ $tick->x }}" x2="{{ $tick->x }}" y1="4" y2="{{ $chart->foot }}" stroke="#d9d3c5" stroke-width="1" />
        <text x="{{ $tick->x }}" y="{{ $tick->y }}" text-anchor="middle" fill="#655f52">{{ $tick->text }}</text>
    @endforeach
    @foreach($chart->names as $name)
        <text x="{{ $name->x }}" y="{{ $name->y }}" text-anchor="end" fill="#1f1c16">{{ $name->text }}</text>
    @endforeach
    @foreach($chart->marks as $mark)
        @if($mark->from !== null)
            <line x1="{{ $mark->from }}" x2="{{ $mark->to }}" y1="{{ $mark->y }}" y2="{{ $mark->y }}" stroke="#1f1c16"
                stroke-width="1.6" />
        @endif
        @if($mark->series === 'sensitivity')
            <path transform="translate({{ $mark->x }} {{ $mark->y }})" d="M0 -5L5 0L0 5L-5 0Z" fill="#1f1c16" />
        @else
            <circle cx="{{ $mark->x }}" cy="{{ $mark->y }}" r="4" fill="#ffffff" stroke="#1f1c16" stroke-width="1.6" />
        @endif
    @endforeach
</svg>
