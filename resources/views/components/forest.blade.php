{{-- Estimates with intervals: drawn broad and slim, with the finding as title; the table behind it is the page's. --}}
@props(['broad', 'slim', 'finding', 'says'])
<figure class="forest">
    <figcaption><h2>{{ $finding }}</h2></figcaption>
    @foreach(['broad' => $broad, 'slim' => $slim] as $layout => $chart)
        <svg class="axis {{ $layout }}" viewBox="0 0 {{ $chart->width }} {{ $chart->height }}" role="img"
            aria-label="{{ $finding }}. {{ $says }}">
            @foreach($chart->ticks as $tick)
                <line class="tick" x1="{{ $tick->x }}" x2="{{ $tick->x }}" y1="4" y2="{{ $chart->foot }}" />
                <text class="tick" x="{{ $tick->x }}" y="{{ $tick->y }}">{{ $tick->text }}</text>
            @endforeach
            @foreach($chart->names as $name)
                <text @class(['name', 'strong' => $name->strong]) x="{{ $name->x }}"
                    y="{{ $name->y }}">{{ $name->text }}</text>
            @endforeach
            @foreach($chart->marks as $mark)
                <g class="mark {{ $mark->series }}" transform="translate(0 {{ $mark->y }})">
                    @if($mark->bandFrom !== null)
                        <line class="band" x1="{{ $mark->bandFrom }}" x2="{{ $mark->bandTo }}" y1="0" y2="0" />
                    @endif
                    @if($mark->from !== null)
                        <line x1="{{ $mark->from }}" x2="{{ $mark->to }}" y1="0" y2="0" />
                    @endif
                    @if($mark->series === 'sensitivity')
                        <path transform="translate({{ $mark->x }} 0)" d="M0 -6l6 6l-6 6l-6 -6Z" />
                    @else
                        <circle cx="{{ $mark->x }}" cy="0" r="4.5" />
                    @endif
                </g>
            @endforeach
        </svg>
    @endforeach
</figure>
