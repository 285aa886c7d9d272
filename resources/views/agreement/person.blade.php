@php
    $first = \Illuminate\Support\Str::before($person->name, ' ');
    $c = $figures['criterion'];
    $lean = $c->low === null ? null : ($c->low > 0 ? 'under-calls' : ($c->high < 0 ? 'over-calls' : 'leans to neither side'));
    $sureness = $swagger === null ? null : (abs($swagger) < 0.03 ? 'as sure as right' : ($swagger > 0 ? 'surer than right' : 'less sure than right'));
    $you = $own;
    $verb = fn (string $third, string $second) => $you ? $second : $third;
    $pct = fn (?float $v) => $v === null ? '–' : round(100 * $v).' %';
    $shaky = $drift ? collect($drift->points)->filter(fn ($p) => $p['beyond'])->keys() : collect();
@endphp
<x-layout :title="$person->name.' – '.$round->name">
    <p class="small"><a href="{{ route('agreement', $round) }}">{{ $round->name }}</a></p>
    <h1>@if($n === 0){{ $you ? 'Your' : $person->name.'’s' }} calls are not scored in this round @else{{ $you ? 'You' : $person->name }} {{ $lean === null ? $verb('was', 'were').' scored on '.$n.' calls' : ($you ? str_replace(['over-calls', 'under-calls', 'leans'], ['over-call', 'under-call', 'lean'], $lean) : $lean) }}{{ $sureness ? ', and '.$verb('is', 'are').' '.$sureness : '' }} @endif</h1>
    <p class="quiet" style="margin: 0.2rem 0 0.6rem">{{ $n }} calls scored against the key of {{ $round->name }}; ranges are 95 % intervals from the counts alone (the round’s page resamples cases). @if($unscored) Whoever helped to make a key is not scored against it.@endif @if($own && $n) Cases that wait in an open round of yours are left out.@endif @if($n)<a href="{{ route('agreement.record', [$round, $person->id]) }}">{{ $you ? 'Your' : 'The' }} record as a file</a>@endif</p>
    @if($n > 0)
        <div class="tiles">
            <div><b>{{ $pct($figures['sensitivity']->estimate) }}</b>of what is there, found<br><span class="small quiet">@if($figures['sensitivity']->reason)@said($figures['sensitivity']->reason)@else{{ $pct($figures['sensitivity']->low).' to '.$pct($figures['sensitivity']->high) }}@endif</span></div>
            <div><b>{{ $pct($figures['specificity']->estimate) }}</b>of what is not, called absent<br><span class="small quiet">@if($figures['specificity']->reason)@said($figures['specificity']->reason)@else{{ $pct($figures['specificity']->low).' to '.$pct($figures['specificity']->high) }}@endif</span></div>
            <div><b>{{ $c->estimate === null ? '–' : \Core\Number\Written::fixed($c->estimate, 2) }}</b>criterion c; above 0 calls little<br><span class="small quiet">@if($c->reason)@said($c->reason)@elseif($c->low !== null){{ \Core\Number\Written::fixed($c->low, 2) }} to {{ \Core\Number\Written::fixed($c->high, 2) }}@endif</span></div>
            <div><b>{{ $figures['brier']->estimate === null ? '–' : \Core\Number\Written::fixed($figures['brier']->estimate, 3) }}</b>Brier score, 0 is best<br><span class="small quiet">@if($figures['brier']->reason)@said($figures['brier']->reason)@elseif($figures['brier']->low !== null){{ \Core\Number\Written::fixed($figures['brier']->low, 3).' to '.\Core\Number\Written::fixed($figures['brier']->high, 3) }}@endif</span></div>
        </div>

        <h2>Fault by fault</h2>
        <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows">
            <tr><th>Fault</th><th></th><th class="num">Found</th><th class="num">Missed</th><th class="num">Over-called</th><th class="num">Rightly absent</th><th>Found, of what is there</th><th>Absent, of what is not</th></tr>
            @foreach($faults as $f)
                <tr><td><span class="small quiet">{{ $f['station'] }}</span> {{ $f['name'] }}</td><td style="width: 9rem"><span class="wrongs" role="img" aria-label="{{ $f['cells'][1] }} missed, {{ $f['cells'][2] }} over-called">@for($i = 0; $i < $f['cells'][1]; $i++)<i class="missed"></i>@endfor @for($i = 0; $i < $f['cells'][2]; $i++)<i class="over"></i>@endfor</span></td>
                    @foreach($f['cells'] as $v)<td class="num">{{ $v }}</td>@endforeach
                    <td><x-figure-value :figure="$f['hits']" percent :n="$f['cells'][0] + $f['cells'][1]" /></td><td><x-figure-value :figure="$f['right']" percent :n="$f['cells'][2] + $f['cells'][3]" /></td></tr>
            @endforeach
        </table></div>
        <p class="small quiet"><span class="wrongs"><i class="missed"></i></span> missed, <span class="wrongs"><i class="over"></i></span> over-called. One fault has few cases: the intervals say how little that is; grey and slanted is too few to say.</p>

        @if($calibration !== [])
            <h2>{{ $swagger > 0.03 ? 'Surer than right by '.round(100 * $swagger).' points' : ($swagger < -0.03 ? 'Less sure than right by '.round(-100 * $swagger).' points' : 'As sure as right') }}</h2>
            @php
                $x = fn (float $p) => 60 + 560 * ($p - 0.5) / 0.5;
                $y = fn (float $s) => 220 - 200 * $s;
            @endphp
            <svg viewBox="0 0 660 262" style="width: 100%; max-width: 720px" class="axis" role="img" aria-label="How often calls of each stated confidence were right; the figures are in the table below">
                @foreach([0, 0.25, 0.5, 0.75, 1] as $v)<line x1="60" x2="620" y1="{{ $y($v) }}" y2="{{ $y($v) }}" stroke="var(--rule)"/><text x="52" y="{{ $y($v) + 4 }}" text-anchor="end">{{ 100 * $v }} %</text>@endforeach
                <line x1="{{ $x(0.5) }}" y1="{{ $y(0.5) }}" x2="{{ $x(1.0) }}" y2="{{ $y(1.0) }}" stroke="var(--quiet)" stroke-dasharray="5 4"/>
                @foreach($calibration as $b)
                    <line x1="{{ $x($b['p']) }}" x2="{{ $x($b['p']) }}" y1="{{ $y($b['low']) }}" y2="{{ $y($b['high']) }}" stroke="var(--accent)" stroke-width="2"/>
                    <path d="M{{ $x($b['p']) }} {{ $y($b['share']) - 6 }}l6 6l-6 6l-6 -6Z" fill="var(--accent)"/>
                    <text x="{{ $x($b['p']) }}" y="238" text-anchor="middle">{{ round(100 * $b['p']) }}</text>
                @endforeach
                <text x="340" y="256" text-anchor="middle">stated confidence, % · upward: share that was right</text>
            </svg>
            <details><summary class="small">The same as a table</summary><table class="rows" style="max-width: 30rem"><tr><th class="num">Said</th><th class="num">Calls</th><th class="num">Right</th><th>Share right</th></tr>@foreach($calibration as $b)<tr><td class="num">{{ round(100 * $b['p']) }} %</td><td class="num">{{ $b['n'] }}</td><td class="num">{{ $b['true'] }}</td><td>{{ $pct($b['share']) }} <span class="small quiet">{{ $pct($b['low']) }} to {{ $pct($b['high']) }}</span></td></tr>@endforeach</table></details>
        @endif

        <h2>{{ $sure === [] ? 'Never sure and wrong' : count($sure).' '.(count($sure) === 1 ? 'call' : 'calls').' sure and wrong' }}</h2>
        @if($sure === [])<p class="quiet">No wrong call was made at {{ round(100 * \Core\Agreement\Profile\RaterProfile::SURE) }} % or more.</p>@else
            @foreach(collect($sure)->chunk(10)->take(1)->push(collect($sure)->slice(10))->filter(fn ($part) => $part->isNotEmpty()) as $rows)
                @if(! $loop->first)<details><summary class="small">{{ $rows->count() }} more</summary>@endif
                <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows surely"><tr><th>Case</th><th>Fault</th><th>{{ $you ? 'You' : $first }}</th><th>Key</th><th>What the measurement says</th></tr>
                    @foreach($rows as $s)<tr><td><a href="{{ route('bench', $s['recording']) }}">{{ $s['recording']->golfer->pseudonym }}, {{ $s['recording']->club }}</a></td><td>{{ $codebook->faults[$s['call']->item]->name }}</td><td><x-call :presence="$s['call']->called ? 'present' : 'absent'" /> <span class="small quiet">{{ round(100 * $s['call']->confidence) }} %</span></td><td><x-call :presence="$s['call']->truth ? 'present' : 'absent'" />@if($s['entry']) <x-grade :grade="$s['entry']->grade" />@endif</td><td class="small quiet">@if($s['entry'])@said($s['entry']->measured()->why, ['fault' => $codebook->faults[$s['call']->item]->name])@endif</td></tr>@endforeach
                </table></div>
                @if(! $loop->first)</details>@endif
            @endforeach
        @endif

        <h2>@if($drift === null)Too few cases to see a drift @elseif($shaky->isEmpty())No drift beyond chance over {{ count($windows) }} stretches of cases @else{{ $you ? 'You' : $first }} moved: stretch {{ $shaky->map(fn ($i) => $i + 1)->join(', ', ' and ') }} lies beyond what an unchanging reader shows @endif</h2>
        @if($drift !== null)
            @php
                $top = max($drift->limit, ...collect($drift->points)->map(fn ($p) => max(abs($p['z_d'] ?? 0), abs($p['z_c'] ?? 0)))->all()) * 1.15;
                $dx = fn (int $i) => 60 + 560 * ($i + 0.5) / count($windows);
                $dy = fn (float $z) => 110 - 95 * $z / $top;
            @endphp
            <svg viewBox="0 0 660 252" style="width: 100%; max-width: 720px" class="axis" role="img" aria-label="Distance of sensitivity and criterion from their own mean, stretch by stretch; the figures are in the table below">
                <rect x="60" width="560" y="{{ $dy($drift->limit) }}" height="{{ $dy(-$drift->limit) - $dy($drift->limit) }}" fill="var(--band)" opacity="0.6"/>
                <line x1="60" x2="620" y1="{{ $dy(0) }}" y2="{{ $dy(0) }}" stroke="var(--quiet)"/>
                @foreach([$drift->limit, -$drift->limit] as $v)<text x="52" y="{{ $dy($v) + 4 }}" text-anchor="end">{{ \Core\Number\Written::fixed($v, 1) }}</text>@endforeach
                <text x="52" y="{{ $dy(0) + 4 }}" text-anchor="end">0</text>
                @foreach(['z_c' => 'var(--accent)', 'z_d' => 'var(--quiet)'] as $which => $ink)
                    <polyline fill="none" stroke="{{ $ink }}" stroke-width="2" @if($which === 'z_d') stroke-dasharray="5 4" @endif points="{{ collect($drift->points)->map(fn ($p, $i) => $p[$which] === null ? null : round($dx($i), 1).','.round($dy($p[$which]), 1))->filter()->join(' ') }}"/>
                    @foreach($drift->points as $i => $p)@if($p[$which] !== null)@if($which === 'z_c')<path d="M{{ $dx($i) }} {{ $dy($p[$which]) - 6 }}l6 6l-6 6l-6 -6Z" fill="{{ $ink }}"/>@else<circle cx="{{ $dx($i) }}" cy="{{ $dy($p[$which]) }}" r="4.5" fill="var(--paper)" stroke="{{ $ink }}" stroke-width="2"/>@endif @endif @endforeach
                @endforeach
                @foreach($windows as $i => $w)<text x="{{ $dx($i) }}" y="226" text-anchor="middle">{{ $w['from'] }}–{{ $w['to'] }}</text>@endforeach
                <text x="340" y="246" text-anchor="middle">cases in the order handed in · upward: standard errors from the own mean</text>
            </svg>
            <p class="small quiet"><span class="call present">criterion</span> (upward: calls less) and <span class="call absent">d′</span> (upward: tells better) over {{ $rounds->pluck('name')->join(', ', ' and ') }}. The band is set so that one unchanging reader in {{ round(1 / $drift->falseAlarm) }} has a point outside it anywhere, by simulation.</p>
            <details><summary class="small">The same as a table</summary><table class="rows" style="max-width: 42rem"><tr><th>Cases</th><th class="num">Found</th><th class="num">Missed</th><th class="num">Over-called</th><th class="num">Rightly absent</th><th class="num">d′</th><th class="num">c</th></tr>@foreach($windows as $i => $w)<tr><td>{{ $w['from'] }}–{{ $w['to'] }}@if($drift->points[$i]['beyond']) <b>beyond</b>@endif</td>@foreach($w['cells'] as $v)<td class="num">{{ $v }}</td>@endforeach<td class="num">{{ $drift->points[$i]['d_prime'] === null ? '–' : \Core\Number\Written::fixed($drift->points[$i]['d_prime'], 2) }}</td><td class="num">{{ $drift->points[$i]['criterion'] === null ? '–' : \Core\Number\Written::fixed($drift->points[$i]['criterion'], 2) }}</td></tr>@endforeach</table></details>
        @else<p class="quiet">At least two stretches of {{ \Core\Agreement\Profile\RaterProfile::WINDOW }} cases, with faults that are there and faults that are not, are needed.</p>@endif
    @endif

    <h2>Without the key</h2>
    @if($latent === null)<p class="quiet">A model of the calls alone needs three readers of this round.</p>
    @elseif(! $latent['separated'])<p class="quiet">The calls alone do not part into two kinds; nothing is said from them.</p>
    @else<p>From the round’s calls alone, not knowing the key, a model of two hidden kinds puts {{ $you ? 'your' : $first.'’s' }} share of finding what is there at <b>{{ $pct($latent['hit']) }}</b> and of calling present what is not at <b>{{ $pct($latent['alarm']) }}</b>@if($n), where the key has {{ $pct($figures['sensitivity']->estimate) }} and {{ $figures['specificity']->estimate === null ? '–' : $pct(1 - $figures['specificity']->estimate) }}@endif.</p>
        <p class="small quiet">Latent classes after Dawid and Skene, over all faults; {{ $latent['converged'] ? 'converged' : 'not converged' }}, {{ $latent['starts'] }} of {{ $latent['of'] }} starts to the same end; it takes {{ $pct($latent['prevalence']) }} of the questions to be present. It supposes that readers err independently: where they err together it takes the error for the truth. A second opinion, never the key.</p>@endif
</x-layout>
