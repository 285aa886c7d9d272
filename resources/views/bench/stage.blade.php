{{-- Film or figure, ribbon, transport, trace and foot map on one clock. Expects $film, $trace (booleans), $traceTitle;
    may have $locked (no drawing), $lanes, $swings. --}}
<div class="films">
    @if($film)
        @foreach(['face-on', 'down-the-line'] as $view)
            <figure>
                <figcaption><b>{{ __("views.$view") }}</b> <span data-caption></span></figcaption>
                <div><canvas data-view="{{ $view }}" role="img"
                    aria-label="{{ __("stage.seen.$view") }}"></canvas></div>
            </figure>
        @endforeach
    @else
        <div class="hidden-evidence whole-row">
            <p><b>{{ __('stage.trace-only') }}</b><br>{{ __('stage.no-film') }}</p>
        </div>
    @endif
</div>
<div class="ribbon-scrub" data-ribbon role="slider" tabindex="0" aria-label="{{ __('stage.moment') }}"
    aria-valuemin="0" aria-valuemax="8" aria-valuenow="0"></div>
@isset($lanes)
    <div class="lanes" tabindex="0" role="region" aria-label="{{ __('stage.lanes') }}">
        <svg data-lanes role="img" aria-label="{{ __('stage.marks-of-each') }}"></svg>
    </div>
@endisset
<div class="transport">
    @include('bench.transport', ['near' => $film])
    <output data-clock aria-live="off"></output>
    @if($film && empty($locked))
        <select class="aid-menu" data-aid aria-label="{{ __('stage.aid') }}">
            @foreach(__('stage.aids') as $aid => $name)
                <option value="{{ $aid === 'draw' ? '' : $aid }}">{{ $name }}</option>
            @endforeach
        </select>
    @endif
    @if(! empty($swings))
        <div class="swings" role="group" aria-label="{{ __('stage.swings') }}">
            @foreach($swings as $s)
                <button type="button" data-swing="{{ $s['url'] }}"
                    aria-pressed="{{ $loop->first ? 'true' : 'false' }}">{{ $s['name'] }}</button>
            @endforeach
            <kbd data-key="swing">\</kbd>
        </div>
    @endif
</div>
<div class="lower">
    @if($trace)
        <div class="trace-box" data-trace>
            <div class="caption">{{ $traceTitle }}</div>
            <div class="plot" role="img" aria-label="{{ __('stage.trace.over-time') }}"></div>
        </div>
    @else
        <div class="hidden-evidence">
            <p><b>{{ __('stage.film-only') }}</b><br>{{ __('stage.no-trace') }}</p>
        </div>
    @endif
    <svg class="foot-map" data-foot-map viewBox="0 0 260 230" role="img" aria-label="{{ __('stage.foot-map') }}"></svg>
</div>
