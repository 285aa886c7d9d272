{{-- The curve and threshold a verdict came from. Expects $charts. --}}
@forelse($charts as $c)
    <figure class="why-chart">
        <figcaption>{{ $c['title'] }}: <b>@if($c['value'] === null)not measured @elseif(is_numeric($c['value'])){{ $c['censored'] ? ($c['censored'] === 'below' ? '< ' : '> ') : '' }}{{ \Core\Number\Written::fixed($c['value'], abs($c['value']) < 5 ? 2 : 0) }}@if($c['uncertainty'] !== null) ± {{ \Core\Number\Written::fixed($c['uncertainty'], $c['uncertainty'] < 0.1 ? 2 : 1) }}@endif @else{{ $c['value'] }}@endif</b>{{ $c["unit"] === "style" ? "" : " ".$c["unit"] }}; rule {{ ['<=' => '≤', '>=' => '≥', 'is' => 'is', 'not' => 'is not'][$c['op']] ?? $c['op'] }} {{ $c['threshold'] }}</figcaption>
        @if($c['curve'])
            <svg viewBox="0 0 380 132" role="img" aria-label="{{ ucfirst($c['label']) }} over the swing, with the threshold of the rule and the value read">
                @if($c['window'])<rect class="window" x="{{ $c['window'][0] }}" y="6" width="{{ max(1.5, $c['window'][1] - $c['window'][0]) }}" height="106"/>@endif
                @php($last = -99)
                @foreach($c['stations'] as $code => $x)<line class="notch" x1="{{ $x }}" x2="{{ $x }}" y1="6" y2="112"/>@if($x - $last > 15)<text x="{{ $x }}" y="124" text-anchor="middle">{{ $code }}</text>@php($last = $x)@endif @endforeach
                @foreach($c['ticks'] as [$y, $text])<text x="30" y="{{ $y + 3.5 }}" text-anchor="end">{{ $text }}</text>@endforeach
                <path class="curve" d="{{ $c['curve'] }}"/>
                @if($c['level'] !== null)<line class="limit" x1="34" x2="376" y1="{{ $c['level'] }}" y2="{{ $c['level'] }}"/>@endif
                @if($c['moment'] !== null)<line class="limit" x1="{{ $c['moment'] }}" x2="{{ $c['moment'] }}" y1="6" y2="112"/>@endif
                @if($c['whisker'])@if($c['whisker'][0] === 'v')<line class="whisker" x1="{{ $c['dot'][0] }}" x2="{{ $c['dot'][0] }}" y1="{{ $c['whisker'][1] }}" y2="{{ $c['whisker'][2] }}"/>@else<line class="whisker" x1="{{ $c['whisker'][1] }}" x2="{{ $c['whisker'][2] }}" y1="{{ $c['dot'][1] }}" y2="{{ $c['dot'][1] }}"/>@endif @endif
                @if($c['dot'])<circle class="read" cx="{{ $c['dot'][0] }}" cy="{{ $c['dot'][1] }}" r="3.6"/>@endif
            </svg>
            <p class="small quiet">{{ ucfirst($c['label']) }}, {{ $c['curveUnit'] }}. Dashed: where the rule draws the line. Dot: the value, with its uncertainty. {{ ucfirst($c['definition']) }}.</p>
        @else
            <p class="small quiet">{{ ucfirst($c['definition']) }}.</p>
        @endif
    </figure>
@empty
    <p class="small quiet">No condition could be decided, so there is no curve to show.</p>
@endforelse
