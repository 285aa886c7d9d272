{{-- Stated confidence against the share that was right, with the finding as title; the table is the page's. --}}
@props(['points', 'finding'])
<figure class="plot">
    <figcaption><h2>{{ $finding }}</h2></figcaption>
    @foreach([
        'broad' => \Core\Drawing\CalibrationPlot::broad($points),
        'slim' => \Core\Drawing\CalibrationPlot::slim($points),
    ] as $layout => $chart)
        <svg class="axis {{ $layout }}" viewBox="0 0 {{ $chart->plot->width }} {{ $chart->plot->height }}" role="img"
            aria-label="{{ $finding }}. {{ __('agreement.person.confidence.says') }}">
            <x-plot-axes :plot="$chart->plot" />
            <line class="even" x1="{{ $chart->plot->x(0.5) }}" y1="{{ $chart->plot->y(0.5) }}"
                x2="{{ $chart->plot->x(1.0) }}" y2="{{ $chart->plot->y(1.0) }}" />
            @foreach($chart->points as $point)
                <g class="reach" transform="translate({{ $point->x }} 0)">
                    <line x1="0" x2="0" y1="{{ $point->lower }}" y2="{{ $point->upper }}" />
                    <path transform="translate(0 {{ $point->y }})" d="M0 -6l6 6l-6 6l-6 -6Z" />
                </g>
            @endforeach
        </svg>
    @endforeach
    <p class="small quiet">{{ __('agreement.person.confidence.axes') }}</p>
</figure>
