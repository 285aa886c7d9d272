<div class="films" data-only="face-on">
    @foreach(['first', 'second'] as $which)
        @foreach(['face-on', 'down-the-line'] as $view)
            <figure class="{{ $view }}">
                <figcaption>
                    <b class="which {{ $which }}">{{ __("bench.compare.which.$which") }}</b>
                    {{ __("views.$view") }}{{ $which === 'second' ? $mirrored : '' }} <span data-caption></span>
                </figcaption>
                <div>
                    <canvas data-view="{{ $view }}" @if($which === 'second') data-of="second" @endif role="img"
                        aria-label="{{ __('bench.compare.seen', [
                            'which' => __("bench.compare.which.$which"),
                            'view' => __("views.$view"),
                        ]) }}"></canvas>
                </div>
            </figure>
        @endforeach
    @endforeach
</div>
<div class="ribbon-scrub" data-ribbon role="slider" tabindex="0" aria-label="{{ __('bench.compare.moment') }}"
    aria-valuemin="0" aria-valuemax="8" aria-valuenow="0"></div>
<div class="transport">
    @include('bench.transport', ['near' => true])
    <output data-clock aria-live="off"></output>
</div>
<div class="lower">
    <div class="trace-box" data-trace>
        <div class="caption">{{ __('bench.compare.share') }}<span data-apart></span></div>
        <div class="plot" role="img" aria-label="{{ __('bench.compare.traces') }}"></div>
    </div>
    <div class="two-feet">
        @foreach(['first', 'second'] as $which)
            <svg class="foot-map" data-foot-map @if($which === 'second') data-of="second" @endif viewBox="0 0 260 230"
                role="img" aria-label="{{ __('bench.compare.feet', [
                    'which' => __("bench.compare.which.$which"),
                ]) }}"></svg>
        @endforeach
    </div>
</div>
