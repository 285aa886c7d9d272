@php($fmt = fn (float $v): string => \Core\Number\Written::fixed($v, abs($v) < 5 ? 2 : 0))
@php($mayMark = auth()->user()->can('run-academy'))
<x-layout :title="'Bench – '.$recording->golfer->pseudonym" wide>
    <x-slot:head><x-stage-head script="bench" :fetch="[route('bench.evidence', $recording, false), ...array_map(fn ($v) => route('bench.film', [$recording, $v->value, 'stream'], false), $recording->filmedViews())]" /></x-slot:head>
    <div class="bench" data-bench data-evidence="{{ route('bench.evidence', $recording, false) }}" data-keys-url="{{ route('keys', [], false) }}">
        <section class="stage" aria-label="The swing">
            <div class="head">
                <h1>{{ $recording->golfer->pseudonym }}, {{ $recording->club }}</h1>
                <span class="quiet">{{ $recording->golfer->handedness }}-handed · {{ $recording->swing }} swing @if($recording->shape) · plays {{ $recording->shape }} @endif @if($recording->golfer->limits) · {{ $recording->golfer->limits }} @endif · {{ $recording->deviceClass()->label() }}, {{ number_format($recording->rate_hz, 0) }} samples a second @if($series) · series “{{ $recording->series }}”, {{ $series->count() }} swings @endif</span>
            </div>
            @include('bench.stage', ['film' => $recording->motion !== null || $recording->filmedViews() !== [], 'trace' => true, 'swings' => $swings, 'traceTitle' => 'Lead share, %'.($recording->device_class === 'plate' ? ', derived from the stance' : '').($recording->deviceClass()->measuresForce() ? ' · dotted: vertical force, % of body weight' : '')])
        </section>
        <aside class="side" aria-label="What was measured">
            <x-notices />
            @if($anew)<p class="notice small" data-waits="{{ route('bench.state', $recording, false) }}" role="status">It is being measured anew; what stands here is from before.</p><script type="module" src="/js/work.js"></script>@endif
            <button class="plain small keys-button" type="button" data-do="help">keys <kbd>?</kbd></button>
            @foreach($notes as $n)
                <details class="finding {{ $n->finding->severity }}"><summary>@said($n->finding->remark)</summary>
                    <p>{{ ['nulled' => 'Left out', 'widened' => 'Made less certain', 'unaffected' => 'Nothing changed'][$n->finding->effect] }}@if($n->measures): {{ collect($n->measures)->map(fn ($k) => \Core\Measurement\Measure::from($k)->label())->join(', ') }}@endif. @if($n->finding->span)<button type="button" class="link" data-go="{{ $n->finding->span[0] }}">Go to {{ number_format($n->finding->span[0], 2) }} s</button>@endif</p></details>
            @endforeach
            <nav class="lenses" aria-label="Lens">@foreach($lenses as $key => $name)<a href="{{ route('bench', [$recording, 'lens' => $key]) }}" @if($key === $codebook->lens->key) aria-current="true" @endif>{{ $name }}</a>@endforeach</nav>
            <h2 class="first">What the measurements say</h2>
            @if($codebook->notJudged)<p class="notice">@said(Core\Remark\Remark::of($codebook->notJudged), [], true)</p>@endif
            @php($order = ['supported' => 0, 'borderline' => 1, 'contradicted' => 2, 'not measurable' => 3])
            @foreach(collect($codebook->faults)->groupBy(fn ($f, $k) => $verdicts[$k]->judgement->verdict->value, true)->sortBy(fn ($g, $v) => $order[$v]) as $verdict => $group)
                @if($verdict === 'not measurable' || $verdict === 'contradicted')<details class="group"><summary>{{ $group->count() }} {{ $verdict }}</summary>@endif
                @foreach($group as $key => $fault)
                    @php($v = $verdicts[$key])
                    @php($j = $v->judgement)
                    <details class="verdict" data-why="{{ route('bench.why', [$recording, $key, 'lens' => $codebook->lens->key]) }}" @if($verdict === 'supported' && $loop->first && $loop->parent->first) open @endif>
                        <summary><span class="name">{{ $fault->name }}@if($differs[$key]) <span class="badge" title="The lenses differ on this fault: {{ collect($differs[$key])->map(fn ($l) => $lenses[$l])->join(', ') }}">lenses differ</span>@endif</span><span class="{{ str_replace(' ', '-', $verdict) }}">{{ $verdict }}@if($j->margin !== null) <span class="quiet small">{{ abs($j->margin) > 10 ? 'over 10' : number_format(abs($j->margin), 1) }}×</span>@endif</span></summary>
                        <p>@said($j->why, ['fault' => $fault->name]) {{ ucfirst($v->observability->value) }} with what is held{{ $v->proxy ? ':' : '.' }} @if($v->proxy)@said($v->proxy). @endif @if($j->margin !== null)The deciding value stands {{ abs($j->margin) > 10 ? 'more than ten' : number_format(abs($j->margin), 1) }} times its own uncertainty {{ $j->margin >= 0 ? 'beyond' : 'short of' }} the threshold.@endif</p>
                        <div data-curves></div>
                    </details>
                @endforeach
                @if($verdict === 'not measurable' || $verdict === 'contradicted')</details>@endif
            @endforeach
            @if($codebook->lens->off)<p class="small quiet">Do not count under this lens: {{ collect($codebook->lens->off)->map(fn ($k) => str_replace('-', ' ', $k))->join(', ') }}.</p>@endif

            <form method="get" action="{{ route('bench.beside', $recording) }}" class="beside">
                <label for="other">{{ __('bench.beside') }}</label>
                <select id="other" name="other">
                    @foreach($candidates as $c)
                        <option value="{{ $c['id'] }}">{{ $c['name'] }}</option>
                    @endforeach
                </select>
                <button class="act second">{{ __('bench.put-beside') }}</button>
            </form>

            <h2>Measurements</h2>
            <p class="quiet small" style="margin-bottom: 0.4rem">± is the half-width of a 95 % interval; the grey bar is the lens’s band. <a href="{{ route('codebook') }}#measures">What each one is</a></p>
            @foreach($rows as $row)
                @if($row['group'])<h3 class="measure-group">{{ $row['group'] }}</h3>@endif
                <div @class(['measure', 'outside' => $row['inside'] === false]) title="{{ ucfirst($row['definition']) }}">
                    <a href="{{ route('codebook') }}#m-{{ $row['key'] }}">{{ $row['label'] }}</a>
                    @if($row['value'] === null)
                        <span class="value thin">none</span><span></span><span class="why">{{ $row['reason'] }}</span>
                    @elseif(is_string($row['value']))
                        <span class="value word">{{ $row['value'] }}</span><span></span>
                    @else
                        <span class="value">{{ $row['censored'] === 'below' ? '< ' : ($row['censored'] === 'above' ? '> ' : '') }}{{ $fmt($row['value']) }} <small>± {{ number_format($row['uncertainty'], $row['uncertainty'] < 0.1 ? 2 : 1) }}</small></span>
                        @if($row['scale'])
                            @php([$a, $b] = $row['scale'])
                            @php($x = fn ($v) => 2 + 92 * max(0, min(1, ($v - $a) / ($b - $a))))
                            <svg viewBox="0 0 96 16" width="96" height="16" aria-hidden="true">
                                <line x1="2" x2="94" y1="8" y2="8" stroke="var(--rule)"/>
                                @if($row['band'])<rect x="{{ $x($row['band'][0]) }}" y="4" width="{{ max(1, $x($row['band'][1]) - $x($row['band'][0])) }}" height="8" fill="var(--band)"/>@endif
                                @if($row['spread'])<line x1="{{ $x($row['spread']->mean - 2 * $row['spread']->sd) }}" x2="{{ $x($row['spread']->mean + 2 * $row['spread']->sd) }}" y1="13" y2="13" stroke="var(--lead)" stroke-width="2"/>@endif
                                <line x1="{{ $x($row['value'] - $row['uncertainty']) }}" x2="{{ $x($row['value'] + $row['uncertainty']) }}" y1="8" y2="8" stroke="var(--ink)" stroke-width="1.5"/>
                                <circle cx="{{ $x($row['value']) }}" cy="8" r="3.4" fill="{{ $row['inside'] === false ? 'var(--accent)' : 'var(--ink)' }}"/>
                            </svg>
                        @else
                            <span></span>
                        @endif
                        <span class="why">{{ $row['unit'] }}@if($row['near']) · nearest {{ $row['near'] }}@endif @if($row['censored']) – {{ $row['reason'] }}@endif @if($row['derived']) · derived from the stance @endif @if($row['indirect']) · indirect, by {{ $row['indirect'] }}@endif @if($row['spread']) · this golfer: {{ $fmt($row['spread']->mean) }}, spread {{ $fmt($row['spread']->sd) }} over {{ $row['spread']->n }} swings @endif @if($row['others']) · {{ $row['others'] }}@endif @if($row['widened']) · less certain: {{ $row['widened'] }}@endif</span>
                    @endif
                </div>
            @endforeach

            <h2 id="stations">Stations</h2>
            <table class="rows marks"><tr><th>Station</th><th class="num">Time</th><th>From</th>@if($mayMark)<th></th>@endif</tr>
                @foreach(\Core\Motion\Station::cases() as $s)
                    @php($m = $marks[$s->value] ?? null)
                    <tr><td><button type="button" class="link" data-go="{{ $m['t'] ?? '' }}" @disabled(! $m) title="{{ ucfirst($s->definition()) }}">{{ $s->value }}</button></td>
                        <td class="num">@if($m){{ number_format($m['t'], 3) }} <small class="quiet">± {{ number_format(1000 * $m['uncertainty'], 0) }} ms</small>@else – @endif</td>
                        <td class="small">@if($m){{ ['hand' => 'marked by hand', 'file' => 'the file', 'motion' => 'body points', 'trace' => 'the trace alone'][$m['source']] }}@if($m['doubt'])<span class="doubt" title="{{ ucfirst($m['doubt']) }}">look again</span>@endif @foreach($m['others'] as $o)<br><span class="quiet">{{ ['hand' => 'hand', 'file' => 'file', 'motion' => 'points', 'trace' => 'trace'][$o['source']] }} {{ number_format($o['t'], 3) }}</span>@endforeach @else not reached, or not found @endif</td>
                        @if($mayMark)<td style="white-space: nowrap"><form method="post" action="{{ route('bench.mark', $recording) }}" data-mark>@csrf<input type="hidden" name="code" value="{{ $s->value }}"><input type="hidden" name="t_s"><button class="link" title="Put {{ $s->value }} at the moment shown">put here</button></form>@if(($m['source'] ?? '') === 'hand')<form method="post" action="{{ route('bench.mark', $recording) }}">@csrf<input type="hidden" name="code" value="{{ $s->value }}"><button class="link">take back</button></form>@endif</td>@endif</tr>
                @endforeach
            </table>
            @if($recording->motion)
                <h2>Clocks</h2>
                <p class="small">The film’s clock stands <b>{{ \Core\Number\Written::signed(1000 * $recording->points_offset_s, 1) }} ms</b>@if($recording->points_clock_uncertainty_s) ± {{ number_format(1000 * $recording->points_clock_uncertainty_s, 1) }} ms @endif to the trace’s{{ $recording->points_clock_by ? ', by '.$recording->points_clock_by : ', as recorded' }}; drift {{ \Core\Number\Written::fixed($recording->points_drift_ppm, 0) }} parts per million.</p>
                @if($mayMark)
                    @php($frame = 1 / $recording->motion->rate_hz)
                    <div class="clock-keys">@foreach([['hand', -$frame, '− frame'], ['hand', $frame, '+ frame'], ['hand', -1 / $recording->rate_hz, '− sample'], ['hand', 1 / $recording->rate_hz, '+ sample'], ['drift', -$frame, 'drift − a frame by the end'], ['drift', $frame, 'drift + a frame by the end'], ['correlation', null, 'match by the push'], ['impact', null, 'match by impact']] as [$by, $shift, $text])
                        @if($by !== 'correlation' || $recording->deviceClass()->measuresForce())<form method="post" action="{{ route('bench.clock', $recording) }}">@csrf<input type="hidden" name="by" value="{{ $by }}">@if($shift !== null)<input type="hidden" name="shift" value="{{ sprintf('%.9F', $shift) }}">@endif<button class="link">{{ $text }}</button></form>@endif
                    @endforeach</div>
                @endif
            @endif
            @include('shelf.films')
            @if($mayMark)<p class="small"><a href="{{ route('bench.remove', $recording) }}">Take this recording away …</a></p>@endif
            <h2>Keep in mind</h2>
            <p class="small quiet">Pressure is not mass: a golfer can press hard on a foot the body is not over. One swing is not a golfer. Before any drill: warm up, clear the space, stop on pain; injury, dizziness or balance problems go to a physician or physiotherapist; minors only with a guardian's consent and under the academy's safeguarding rules. This is teaching help, not medical advice; the academy's own rules and licensed professionals take precedence.</p>
        </aside>
        @include('bench.keys')
        <x-words :of="['keys']" />
        <p class="only-heard" aria-live="polite" data-announce></p>
    </div>
    <script type="module" src="/js/bench/page.js"></script>
</x-layout>
