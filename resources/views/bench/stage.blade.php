{{-- Film or figure, ribbon, transport, trace and foot map on one clock. Expects $evidence (a URL), $film, $trace (booleans), $traceTitle. --}}
<div class="films">
    @if($film)
        <figure><figcaption><b>face-on</b> <span data-caption></span></figcaption><div><canvas data-view="face-on" role="img" aria-label="The golfer seen face-on"></canvas></div></figure>
        <figure><figcaption><b>down the line</b> <span data-caption></span></figcaption><div><canvas data-view="down-the-line" role="img" aria-label="The golfer seen from behind, along the target line"></canvas></div></figure>
    @else
        <div class="hidden-evidence" style="grid-column: 1 / -1"><p><b>Trace only</b><br>There is no film for this case.</p></div>
    @endif
</div>
<div class="ribbon-scrub" data-ribbon role="slider" tabindex="0" aria-label="Moment in the swing" aria-valuemin="0" aria-valuemax="8" aria-valuenow="0"></div>
@isset($lanes)<div class="lanes" tabindex="0" role="region" aria-label="Marks under the ribbon"><svg data-lanes role="img" aria-label="Marks of each person"></svg></div>@endisset
<div class="transport">
    <button type="button" data-do="station-back" title="previous station (Shift+←)" aria-label="previous station">⇤</button>
    <button type="button" data-do="frame-back" title="one frame back (←)" aria-label="one frame back">←</button>
    <button type="button" data-do="play" title="play or halt (space)" aria-label="play or halt">▶</button>
    <button type="button" data-do="frame-on" title="one frame on (→)" aria-label="one frame on">→</button>
    <button type="button" data-do="station-on" title="next station (Shift+→)" aria-label="next station">⇥</button>
    <button type="button" data-do="speed" title="speed (S)" aria-label="speed">1</button>
    @if($film)<button type="button" data-do="feet" title="near to the feet, or the whole picture (=)" aria-pressed="false">feet</button>@endif
    <output data-clock aria-live="off"></output>
    @if($film && empty($locked))<select class="aid-menu" data-aid aria-label="Drawing aids"><option value="">draw …</option><option value="plumb">plumb line</option><option value="hips">hips at address</option><option value="foot">a foot at address</option><option value="angle">angle of a foot</option><option value="heel">height of a heel</option><option value="last">take the last away</option><option value="all">take all away</option></select>@endif
    @if(! empty($swings))<div class="swings" role="group" aria-label="Swings of the case">@foreach($swings as $s)<button type="button" data-swing="{{ $s['url'] }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}">{{ $s['name'] }}</button>@endforeach <kbd data-key="swing">\</kbd></div>@endif
</div>
<div class="lower">
    @if($trace)
        <div class="trace-box" data-trace><div class="caption">{{ $traceTitle }}</div><div class="plot" role="img" aria-label="Trace of lead share over time"></div></div>
    @else
        <div class="hidden-evidence"><p><b>Film only</b><br>There is no pressure or force trace for this case.</p></div>
    @endif
    <svg class="foot-map" data-foot-map viewBox="0 0 260 230" role="img" aria-label="Both feet from above, with the centre of pressure"></svg>
</div>
