<x-layout :title="'Bench – '.$recording->golfer->pseudonym" wide>
    <x-slot:head><link rel="stylesheet" href="/vendor/uplot/uPlot.min.css"></x-slot:head>
    <div class="bench" data-bench data-evidence="{{ route('bench.evidence', $recording) }}">
        <section class="stage" aria-label="The swing">
            <div class="head">
                <h1>{{ $recording->golfer->pseudonym }}, {{ $recording->club }}</h1>
                <span class="quiet">{{ $recording->golfer->handedness }}-handed · {{ $recording->swing }} swing @if($recording->shape) · plays {{ $recording->shape }} @endif @if($recording->golfer->limits) · {{ $recording->golfer->limits }} @endif · {{ $recording->deviceClass()->label() }}, {{ number_format($recording->rate_hz, 0) }} samples a second</span>
            </div>
            @include('partials.stage', ['film' => $recording->motion !== null, 'trace' => true, 'traceTitle' => 'Lead share, %'.($recording->device_class === 'plate' ? ', derived from the stance' : '').($recording->deviceClass()->measuresForce() ? ' · dotted: vertical force, % of body weight' : '')])
        </section>
        <aside class="side" aria-label="What was measured">
            <x-notices />
            @foreach($recording->quality as $q)<p class="notice refused">{{ $q['sentence'] }}</p>@endforeach
            <h3>What the measurements say <span class="quiet small">lens: {{ $codebook->lens->name }}</span></h3>
            @php($order = ['supported' => 0, 'borderline' => 1, 'contradicted' => 2, 'not measurable' => 3])
            @foreach(collect($codebook->faults)->sortBy(fn ($f, $k) => $order[$verdicts[$k]['verdict']]) as $key => $fault)
                @php($v = $verdicts[$key])
                <details class="verdict" @if($v['verdict'] === 'supported') open @endif>
                    <summary><span class="name">{{ $fault->name }}</span><span class="{{ str_replace(' ', '-', $v['verdict']) }}">{{ $v['verdict'] }}@if($v['margin'] !== null) <span class="quiet small">{{ abs($v['margin']) > 10 ? 'over 10' : number_format(abs($v['margin']), 1) }}×</span>@endif</span></summary>
                    <p>{{ $v['sentence'] }} {{ ucfirst($v['observability']) }} with what is held.@if($v['margin'] !== null) The deciding value stands {{ abs($v['margin']) > 10 ? 'more than ten' : number_format(abs($v['margin']), 1) }} times its own uncertainty {{ $v['margin'] >= 0 ? 'beyond' : 'short of' }} the threshold.@endif</p>
                </details>
            @endforeach
            <h2>Measurements</h2>
            <p class="quiet small" style="margin-bottom: 0.4rem">± is the half-width of a 95 % interval. The grey bar is the lens's band.</p>
            @foreach($rows as $row)
                <div @class(['measure', 'outside' => $row['inside'] === false]) title="{{ $row['definition'] }}">
                    <span>{{ $row['label'] }}</span>
                    @if($row['value'] === null)
                        <span class="value thin">none</span><span></span><span class="why">{{ $row['reason'] }}</span>
                    @elseif(is_string($row['value']))
                        <span class="value">{{ $row['value'] }}</span><span></span>
                    @else
                        <span class="value">{{ $row['censored'] === 'below' ? '< ' : ($row['censored'] === 'above' ? '> ' : '') }}{{ number_format($row['value'], abs($row['value']) < 5 ? 2 : 0) }} <small>± {{ number_format($row['uncertainty'], $row['uncertainty'] < 0.1 ? 2 : 1) }}</small></span>
                        @if($row['scale'])
                            @php([$a, $b] = $row['scale'])
                            @php($x = fn ($v) => 2 + 92 * max(0, min(1, ($v - $a) / ($b - $a))))
                            <svg viewBox="0 0 96 16" width="96" height="16" aria-hidden="true">
                                <line x1="2" x2="94" y1="8" y2="8" stroke="var(--rule)"/>
                                @if($row['band'])<rect x="{{ $x($row['band'][0]) }}" y="4" width="{{ max(1, $x($row['band'][1]) - $x($row['band'][0])) }}" height="8" fill="var(--band)"/>@endif
                                <line x1="{{ $x($row['value'] - $row['uncertainty']) }}" x2="{{ $x($row['value'] + $row['uncertainty']) }}" y1="8" y2="8" stroke="var(--ink)" stroke-width="1.5"/>
                                <circle cx="{{ $x($row['value']) }}" cy="8" r="3.4" fill="{{ $row['inside'] === false ? 'var(--accent)' : 'var(--ink)' }}"/>
                            </svg>
                        @else
                            <span></span>
                        @endif
                        <span class="why">{{ $row['unit'] }}@if($row['censored']) – {{ $row['reason'] }}@endif @if($row['derived']) · derived from the stance @endif</span>
                    @endif
                </div>
            @endforeach
            <h2>Keep in mind</h2>
            <p class="small quiet">Pressure is not mass: a golfer can press hard on a foot the body is not over. One swing is not a golfer. Before any drill: warm up, clear the space, stop on pain; injury, dizziness or balance problems go to a physician or physiotherapist; minors only with a guardian's consent and under the academy's safeguarding rules. This is teaching help, not medical advice; the academy's own rules and licensed professionals take precedence.</p>
        </aside>
    </div>
    <script type="module" src="/js/bench/page.js"></script>
</x-layout>
