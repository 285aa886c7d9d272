<x-layout :title="'Agreement – '.$round->name">
    @php
        $co = $study->coefficients ?? [];
        $worst = collect($items)->map(fn ($i) => $i->coefficients['gwet_ac1']->estimate)->filter(fn ($v) => $v !== null)->sort()->keys()->first();
        $coarse = collect($times)->filter(fn ($t) => $t['within'] !== null)->sortByDesc(fn ($t) => $t['mean_of'][1])->first();
        $minus = fn (float $v) => \Core\Number\Written::signed($v, 2);
        $signed = fn (float $v) => \Core\Number\Written::signed($v, 0);
        $left = array_filter($figures->leftOut);
        $span = fn ($f, $scale = 1, $digits = 2) => $f->low === null ? 'no interval' : \Core\Number\Written::fixed($scale * $f->low, $digits).' to '.\Core\Number\Written::fixed($scale * $f->high, $digits);
        $pct = fn ($f) => ($f->estimate ?? null) === null ? '–' : round(100 * $f->estimate).' %';
        $shownAs = ['both' => 'film and trace', 'film' => 'film only', 'trace' => 'trace only'];
    @endphp
    @if($erased)<p class="notice small">Inputs erased {{ $erased->timezone(config('academy.zone'))->format('j F Y') }}: what was worked out before stands, and is not worked out again.</p>@endif
    <div style="display: flex; justify-content: space-between; gap: 1rem; flex-wrap: wrap; align-items: baseline">
        <h1>@if(! $study) No reading was handed in in this round @elseif($open) {{ $worst ? 'The staff agree least on “'.$codebook->faults[$worst]->name.'”' : 'Agreement' }} @else How your calls stood in the {{ $round->name }} @endif</h1>
        @if($open && $study)<a class="act second" href="{{ route('debrief.first', $round) }}">Debrief, case by case</a>@endif
        @if($rounds->count() > 1)<nav class="small">@foreach($rounds as $x)<a href="{{ route('agreement', $x) }}" @if($x->id === $round->id) aria-current="page" @endif>{{ $x->name }}</a> @endforeach</nav>@endif
    </div>
    <p class="quiet" style="margin: 0.2rem 0 0.6rem">{{ $round->name }} · {{ $figures->cases }} cases · key version {{ $figures->keyVersion }} · ranges are 95 % intervals @if($left) · left out of scoring: {{ collect($left)->map(fn ($n, $w) => "$n $w")->join(', ') }} @endif</p>
    @if($study)
        <div class="tiles">
            <div><b>{{ $pct($co['percent_agreement']) }}</b>agreement between any two<br><span class="small quiet">@if($co['percent_agreement']->reason)@said($co['percent_agreement']->reason)@else{{ $span($co['percent_agreement'], 100, 0) }}@endif</span></div>
            @foreach(['gwet_ac1' => 'AC1, beyond chance', 'fleiss_kappa' => 'Fleiss’ κ', 'krippendorff_alpha' => 'Krippendorff’s α'] as $name => $label)
                <div><b>{{ $co[$name]->estimate === null ? '–' : \Core\Number\Written::fixed($co[$name]->estimate, 2) }}</b>{{ $label }}<br><span class="small quiet">@if($co[$name]->reason)@said($co[$name]->reason)@else{{ $span($co[$name]) }}@endif</span></div>
            @endforeach
            <div><b>{{ $pct($study->specific['present'] ?? null) }}</b>when one says present<br><span class="small quiet">specific agreement</span></div>
        </div>
        <p class="small quiet">κ is low where a fault is rare although people agree: AC1 and the specific agreement are to be read beside it. Present against absent; “cannot tell” counts as no answer and is shown on its own below.</p>

        @if($compared)
            @php
                $d = $compared['ac1']->difference;
            @endphp
            <p class="compared"><b>Since {{ $compared['with'] }}</b>, over the {{ $compared['faults'] }} faults and {{ $compared['people'] }} people that both rounds have: AC1 {{ $compared['ac1']->first === null ? '–' : \Core\Number\Written::fixed($compared['ac1']->first, 2) }} → {{ $compared['ac1']->second === null ? '–' : \Core\Number\Written::fixed($compared['ac1']->second, 2) }}@if($d->estimate === null) (@said($d->reason))@elseif($d->low === null) (too few cases for an interval)@else, {{ $d->estimate >= 0 ? 'up' : 'down' }} by {{ \Core\Number\Written::fixed(abs($d->estimate), 2) }} ({{ \Core\Number\Written::fixed($d->low, 2) }} to {{ \Core\Number\Written::fixed($d->high, 2) }}), p = {{ \Core\Number\Written::fixed((float) $compared['ac1']->p, 3) }} by permutation of cases. {{ $d->low > 0 || $d->high < 0 ? '' : 'That may be chance: ' }}With these cases a true change of {{ \Core\Number\Written::fixed((float) $compared['detectable'], 2) }} would be found four times in five.@endif <span class="quiet small">The cases differ between rounds, so their difficulty may too.</span></p>
        @endif

        <h2>{{ $open ? 'Who sees what the panel sees' : 'You and your colleagues against the key' }}</h2>
        @php
            $h = 26 * $people->count() + 34;
            $x = fn ($v) => 190 + 520 * $v;
        @endphp
        <svg viewBox="0 0 760 {{ $h }}" style="width: 100%; max-width: 900px" class="axis" role="img" aria-label="Sensitivity and specificity of each person with 95 per cent intervals; the figures are in the table below">
            @foreach([0, 0.25, 0.5, 0.75, 1] as $v)<line x1="{{ $x($v) }}" x2="{{ $x($v) }}" y1="6" y2="{{ $h - 22 }}" stroke="var(--rule)"/><text x="{{ $x($v) }}" y="{{ $h - 8 }}" text-anchor="middle">{{ 100 * $v }} %</text>@endforeach
            @foreach($people as $i => $p)
                @php($y = 18 + 26 * $i)
                <text x="180" y="{{ $y + 4 }}" text-anchor="end" style="fill: var(--ink); font-size: 13px; {{ $p['mine'] ? 'font-weight: 700' : '' }}">{{ $p['mine'] && ! $open ? 'you' : $p['name'] }}</text>
                @foreach(['sensitivity' => -4, 'specificity' => 5] as $name => $dy)
                    @php($f = $p['figures'][$name])
                    @if($f->estimate !== null)
                        @if($f->low !== null)<line x1="{{ $x($f->low) }}" x2="{{ $x($f->high) }}" y1="{{ $y + $dy }}" y2="{{ $y + $dy }}" stroke="{{ $name === 'sensitivity' ? 'var(--accent)' : 'var(--quiet)' }}" stroke-width="{{ $name === 'sensitivity' ? 2.5 : 1.5 }}"/>@endif
                        @if($name === 'sensitivity')<path d="M{{ $x($f->estimate) }} {{ $y + $dy - 6 }}l6 6l-6 6l-6 -6Z" fill="var(--accent)"/>@else<circle cx="{{ $x($f->estimate) }}" cy="{{ $y + $dy }}" r="4.5" fill="var(--paper)" stroke="var(--quiet)" stroke-width="2"/>@endif
                    @endif
                @endforeach
            @endforeach
        </svg>
        <p class="small quiet"><span class="call present">sensitivity</span>: of what the key says is present, the share called present. <span class="call absent">specificity</span>: of what is absent, the share called absent. Intervals by resampling cases.</p>
        <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows">
            <tr><th>Instructor</th><th class="num">Calls scored</th><th>Sensitivity</th><th>Specificity</th>@if($open || $people->contains('mine', true))<th>When “present”, right</th><th>Leaning</th><th>Matthews</th><th title="mean of Cohen’s κ with each of the others">With the others</th><th title="0 is best; 0.25 is what a coin with 50 % would get">Sure and wrong (Brier)</th><th class="num">Cannot tell</th><th class="num" title="calls made where what was shown cannot support one">Unsupported</th>@endif</tr>
            @foreach($people as $p)
                <tr>
                    <td>@if($open || $p['mine'])<a href="{{ route('agreement.person', [$round, (int) substr($p['rater'], 1)]) }}">{{ $open ? $p['name'] : 'you' }}</a>@else{{ $p['name'] }}@endif</td><td class="num">{{ $p['n'] }}</td>
                    <td><x-figure-value :figure="$p['figures']['sensitivity']" percent /></td><td><x-figure-value :figure="$p['figures']['specificity']" percent /></td>
                    @if($open || $p['mine'])
                        <td><x-figure-value :figure="$p['figures']['ppv']" percent /></td>
                        <td>@php($c = $p['figures']['criterion'])@if($c->estimate === null) – @else {{ $c->low > 0 ? 'under-calls' : ($c->high < 0 ? 'over-calls' : 'even') }} <span class="quiet small">{{ \Core\Number\Written::fixed($c->estimate, 2) }}</span>@endif</td>
                        <td><x-figure-value :figure="$p['figures']['mcc']" /></td><td><x-figure-value :figure="$rest[$p['rater']] ?? \Core\Agreement\Figure::undefined(\Core\Agreement\Undefined::NobodyToCompareWith)" /></td><td><x-figure-value :figure="$p['figures']['brier']" /></td>
                        <td class="num">{{ $p['cannot_tell'] }}</td><td class="num">{{ $p['unsupported'] }}</td>
                    @endif
                </tr>
            @endforeach
        </table></div>

        @if($open)
            <h2>Right calls, person by fault</h2>
            <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows heat upright">
                <tr><th></th>@foreach($codebook->faults as $f)<th><span>{{ $f->name }}</span></th>@endforeach</tr>
                @foreach($people as $p)
                    <tr><td>{{ $p['name'] }}</td>
                        @foreach($codebook->keys() as $k)
                            @php([$tp, $fn, $fp, $tn] = $p['map'][$k] ?? [0, 0, 0, 0])
                            @php($n = $tp + $fn + $fp + $tn)
                            @php($wrong = $n ? ($fn + $fp) / $n : 0)
                            <td class="cell" style="--share: {{ round(42 * min(1, $wrong / 0.6)) }}%" title="{{ $tp }} found, {{ $fn }} missed, {{ $fp }} over-called, {{ $tn }} rightly absent">{{ $n ? ($tp + $tn).'/'.$n : '–' }}</td>
                        @endforeach
                    </tr>
                @endforeach
            </table></div>
            <p class="small quiet">The darker, the more wrong calls. Hold the pointer over a cell for what was missed and what over-called. With {{ $figures->cases }} cases one cell is too thin to judge a person by.</p>

            <h2>Person by person: Cohen’s κ over all faults</h2>
            @php($k = $pairs->mapWithKeys(fn ($p) => [$p['a'].'|'.$p['b'] => $p, $p['b'].'|'.$p['a'] => $p]))
            <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows heat">
                <tr><th></th>@foreach($names as $b)<th>{{ \Illuminate\Support\Str::before($b, ' ') }}</th>@endforeach</tr>
                @foreach($names as $a)<tr><td>{{ $a }}</td>@foreach($names as $b)
                    @php($p = $k[$a.'|'.$b] ?? null)
                    @if($p && $p['kappa']->estimate !== null)<td class="cell" style="--share: {{ round(42 * max(0, $p['kappa']->estimate)) }}%" title="{{ $p['n'] }} calls in common, {{ round(100 * $p['same']) }} % the same, κ {{ \Core\Number\Written::fixed($p['kappa']->low, 2) }} to {{ \Core\Number\Written::fixed($p['kappa']->high, 2) }}, PABAK {{ \Core\Number\Written::fixed($p['pabak']->estimate, 2) }}">{{ \Core\Number\Written::fixed($p['kappa']->estimate, 2) }}</td>@else<td class="quiet">{{ $a === $b ? '·' : '–' }}</td>@endif
                @endforeach</tr>@endforeach
            </table></div>
            <details style="margin-top: 0.4rem"><summary class="small">Every pair with its interval</summary>
                <table class="rows"><tr><th>Pair</th><th class="num">Calls in common</th><th>Same call</th><th>Cohen’s κ</th><th>PABAK</th></tr>
                    @foreach($pairs as $p)<tr><td>{{ $p['a'] }} and {{ $p['b'] }}</td><td class="num">{{ $p['n'] }}</td><td>{{ round(100 * $p['same']) }} %</td><td><x-figure-value :figure="$p['kappa']" /></td><td><x-figure-value :figure="$p['pabak']" /></td></tr>@endforeach
                </table>
            </details>

            <h2>Fault by fault: does the definition hold?</h2>
            <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows">
                <tr><th>Fault</th><th class="num">Cases</th><th>Same call</th><th>AC1</th><th>Fleiss’ κ</th><th>Krippendorff’s α</th><th>Agreement on “present”</th></tr>
                @foreach($codebook->faults as $key => $f)
                    @php($i = $items[$key] ?? null)
                    @continue(! $i)
                    <tr><td>{{ $f->name }}</td><td class="num">{{ $i->cases }}</td><td><x-figure-value :figure="$i->coefficients['percent_agreement']" percent :n="$i->cases" /></td>@foreach(['gwet_ac1', 'fleiss_kappa', 'krippendorff_alpha'] as $name)<td><x-figure-value :figure="$i->coefficients[$name]" :n="$i->cases" /></td>@endforeach<td><x-figure-value :figure="$i->specific['present'] ?? \Core\Agreement\Figure::undefined(\Core\Agreement\Undefined::NobodyCalledPresent)" percent :n="$i->cases" /></td></tr>
                @endforeach
            </table></div>
            <details style="margin-top: 0.4rem"><summary class="small">Every coefficient, fault by fault and over all, with the reason where there is none</summary>
                @php($all = ['percent_agreement' => 'Same call', 'gwet_ac1' => 'AC1', 'fleiss_kappa' => 'Fleiss’ κ', 'conger_kappa' => 'Conger’s κ', 'brennan_prediger' => 'Brennan–Prediger', 'krippendorff_alpha' => 'Krippendorff’s α', 'light_kappa' => 'Light’s κ'])
                <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows">
                    <tr><th></th>@foreach($all as $label)<th>{{ $label }}</th>@endforeach</tr>
                    <tr><td><b>over all faults</b></td>@foreach($all as $name => $label)<td><x-figure-value :figure="$co[$name]" :percent="$name === 'percent_agreement'" /></td>@endforeach</tr>
                    <tr><td>with “cannot tell” as an answer</td>@foreach($all as $name => $label)<td><x-figure-value :figure="$study->threeWay->coefficients[$name] ?? null" :percent="$name === 'percent_agreement'" /></td>@endforeach</tr>
                    @foreach($codebook->faults as $key => $f)
                        @continue(! isset($items[$key]))
                        <tr><td>{{ $f->name }}</td>@foreach($all as $name => $label)<td><x-figure-value :figure="$items[$key]->coefficients[$name]" :percent="$name === 'percent_agreement'" :n="$items[$key]->cases" /></td>@endforeach</tr>
                    @endforeach
                </table></div>
            </details>
            <p class="small quiet">Grey and slanted: too few cases to say (under ten, or an interval wider than 0.5). Several rows are compared at once; differences between them are exploratory.</p>
            @if(count($figures->arms) > 1)
                <h2>{{ match(true) { collect($figures->armDifferences)->every(fn ($d) => $d->difference->estimate === null) => 'Too few cases to say whether what was shown matters', collect($figures->armDifferences)->contains(fn ($d) => $d->p !== null && $d->p < 0.05) => 'What is shown changes how far people agree', default => 'What was shown makes no difference that these cases could show' } }}</h2>
                <div class="suggested">
                    <table class="rows"><tr><th>Shown</th><th class="num">Cases</th><th class="num">Same call</th><th class="num">AC1</th></tr>
                        @foreach($figures->arms as $a)<tr><td>{{ $shownAs[$a->arm] }}</td><td class="num">{{ $a->cases }}</td><td class="num">{{ $a->same === null ? '–' : round(100 * $a->same).' %' }}</td><td class="num">{{ $a->ac1 === null ? '–' : \Core\Number\Written::fixed($a->ac1, 2) }}</td></tr>@endforeach
                    </table>
                    <table class="rows"><tr><th>Compared</th><th class="num">AC1 differs by</th><th class="num">p, adjusted</th><th class="num">Would find</th></tr>
                        @foreach($figures->armDifferences as $d)@php($f = $d->difference)<tr><td>{{ $shownAs[$d->second] }} less {{ $shownAs[$d->first] }}</td><td class="num">@if($f->reason)<span class="thin">@said($f->reason)</span>@else<b>{{ $minus($f->estimate) }}</b>@if($f->low !== null) <span class="small quiet">{{ $minus($f->low) }} to {{ $minus($f->high) }}</span>@endif @endif</td><td class="num">{{ $d->p === null ? '–' : \Core\Number\Written::fixed($d->p, 3) }}</td><td class="num">{{ $d->detectable === null ? '–' : \Core\Number\Written::fixed($d->detectable, 2) }}</td></tr>@endforeach
                    </table>
                </div>
                <p class="small quiet">Different cases stand in each, so their difficulty may differ too. p by permutation of cases, adjusted after Holm for the number of comparisons; “would find” is the true difference these cases would show four times in five.</p>
            @endif
            @if($times)
                <h2>@if($coarse)One reader places {{ $coarse['word'] }} within ±{{ round($coarse['mean_of'][1]) }} ms, three within ±{{ round($coarse['mean_of'][3]) }} @else Top and impact, as people mark them @endif</h2>
                <div class="suggested">
                @foreach($times as $t)
                    <div>
                        <h3>{{ ucfirst($t['word']) }}, against the station’s time</h3>
                        <table class="rows"><tr><th>Instructor</th><th class="num">Marks</th><th class="num">Late (+) or early, ms</th><th class="num">95 % of marks, ms</th></tr>
                            @foreach($t['people'] as $p)<tr><td>{{ $p['name'] }}</td><td class="num">{{ $p['n'] }}</td><td class="num">@if($p['bias']->reason)@said($p['bias']->reason)@else<span @class(['thin' => $p['n'] < 10])><b>{{ $signed($p['bias']->estimate) }}</b>@if($p['bias']->low !== null) <span class="small quiet">{{ $signed($p['bias']->low).' to '.$signed($p['bias']->high) }}</span>@endif</span>@endif</td><td class="num">@if($p['low']->reason)@said($p['low']->reason)@else{{ $signed($p['low']->estimate).' to '.$signed($p['high']->estimate) }}@endif</td></tr>@endforeach
                        </table>
                        <p class="small quiet">@if($t['reason'])@said($t['reason'], [], true)@else Over {{ $t['cases'] }} cases that all {{ $t['readers'] }} marked: readers differ from one another by a lasting {{ \Core\Number\Written::fixed($t['between'], 1) }} ms (standard deviation), the rest is {{ \Core\Number\Written::fixed($t['within'], 1) }} ms. The mean mark of @foreach($t['mean_of'] as $k => $w){{ $k }} {{ $k === 1 ? 'reader' : 'readers' }}: ±{{ \Core\Number\Written::fixed($w, 1) }} ms{{ $loop->last ? '.' : ', ' }} @endforeach @endif</p>
                    </div>
                @endforeach
                </div>
            @endif
        @else
            @if($pairs->isNotEmpty())
                <h2>With each colleague</h2>
                <table class="rows" style="max-width: 40rem"><tr><th></th><th class="num">Calls in common</th><th>Same call</th><th>Cohen’s κ</th></tr>
                    @foreach($pairs as $p)<tr><td>a colleague</td><td class="num">{{ $p['n'] }}</td><td>{{ round(100 * $p['same']) }} %</td><td><x-figure-value :figure="$p['kappa']" /></td></tr>@endforeach
                </table>
            @endif
            <h2>{{ $mine->count() }} calls that differ from the key</h2>
            @if($mine->isEmpty())<p>None. Cases that wait in an open round are not shown.</p>@else
            <table class="rows"><tr><th>Case</th><th>Fault</th><th>You</th><th>Key</th><th>Grade</th><th>What the measurement says</th></tr>
                @foreach($mine as $d)
                    <tr><td><a href="{{ route('bench', $d['recording']) }}">Case {{ $d['position'] }}</a></td><td>{{ $d['fault']->name }}</td><td><x-call :presence="$d['call']->presence->value" />@if($d['call']->confidence) <span class="small quiet">{{ $d['call']->confidence }} %</span>@endif</td><td><x-call :presence="$d['truth']" /></td><td><x-grade :grade="$d['entry']->grade" /></td><td class="small quiet">@said($d['entry']->measured()->why, ['fault' => $d['fault']->name])</td></tr>
                @endforeach
            </table>@endif
        @endif
        <p class="small quiet" style="margin-top: 1.6rem">Computed {{ $result->updated_at->timezone(config('academy.zone'))->format('j F Y, H:i') }} by core version {{ $result->core_version }} from inputs {{ substr($result->inputs_checksum, 0, 12) }}; {{ number_format($figures->bootstrap) }} case resamples, seed {{ $figures->seed }}. Standard errors are conditional on these raters. Panel members are not scored against their own key.@if($open) <a href="{{ route('agreement.export', $round) }}">Ratings, key and every figure as CSV and JSON</a>@endif</p>
    @endif
</x-layout>
