{{-- A reader's right calls and calls of present against the others', stretch by stretch; the table is the page's. --}}
@props(['broad', 'slim', 'finding'])
<figure class="plot">
    <figcaption><h2>{{ $finding }}</h2></figcaption>
    @foreach(['broad' => $broad, 'slim' => $slim] as $layout => $chart)
        <svg class="axis {{ $layout }}" viewBox="0 0 {{ $chart->plot->width }} {{ $chart->plot->height }}" role="img"
            aria-label="{{ $finding }}. {{ __('agreement.person.drift.says') }}">
            <path class="chance" d="M{{ $chart->plot->left() }} {{ $chart->bandTop }}H{{ $chart->plot->right() }}V{{
                $chart->bandFoot }}H{{ $chart->plot->left() }}Z" />
            <x-plot-axes :plot="$chart->plot" />
            @foreach($chart->lines as $series => $marks)
                <g class="line {{ $series }}">
                    <polyline points="{{ $chart->path($series) }}" />
                    @foreach($marks as $mark)
                        <g transform="translate({{ $mark->x }} {{ $mark->y }})">
                            @if($series === 'present')
                                <path d="M0 -6l6 6l-6 6l-6 -6Z" />
                            @else
                                <circle r="4.5" />
                            @endif
                        </g>
                    @endforeach
                </g>
            @endforeach
        </svg>
    @endforeach
    <p class="small quiet">{{ __('agreement.person.drift.axes') }}</p>
</figure>
