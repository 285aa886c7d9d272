{{-- A value on its scale, over the lens's band and the golfer's spread; what it says stands beside it as text. --}}
@props(['of'])
<svg class="gauge" viewBox="0 0 96 16" width="96" height="16" aria-hidden="true">
    <line class="scale" x1="2" x2="94" y1="8" y2="8" />
    @if($of->band)
        <rect class="band" x="{{ $of->band[0] }}" y="4" width="{{ $of->band[1] }}" height="8" />
    @endif
    @if($of->spread)
        <line class="spread" x1="{{ $of->spread[0] }}" x2="{{ $of->spread[1] }}" y1="13" y2="13" />
    @endif
    <line class="whisker" x1="{{ $of->whisker[0] }}" x2="{{ $of->whisker[1] }}" y1="8" y2="8" />
    <circle cx="{{ $of->dot }}" cy="8" r="3.4" />
</svg>
