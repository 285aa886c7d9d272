@php
    $recording = $case->recording;
    $evidence = route('bench.evidence', $recording, false);
    $people = collect($said['people']);
    $drawn = $people->filter(fn ($p) => $p['aids'] !== []);
    $timed = collect(['TP' => 'top', 'IM' => 'impact'])->map(fn ($word, $code) => $people->filter(fn ($p) => isset($p['marks']->{$code}))->map(fn ($p) => ['letter' => $p['letter'], 't' => (float) $p['marks']->{$code}])->values())->filter(fn ($marks) => $marks->isNotEmpty());
    $words = ['present' => 'present', 'absent' => 'absent', 'cannot-tell' => 'cannot tell'];
    $who = fn (string $letter) => '<b class="letter">'.e($letter).'</b><span class="known"> '.e($people->firstWhere('letter', $letter)['name']).'</span>';
    $forPage = [
        'people' => $people->map(fn ($p) => ['letter' => $p['letter'], 'name' => $p['name'], 'marks' => $p['marks'], 'aids' => $p['aids']])->values(),
        'faults' => collect($said['faults'])->mapWithKeys(fn ($f) => [$f['key'] => [
            'station' => $f['station'],
            'calls' => collect($f['calls'])->map(fn ($c) => ['letter' => $c['letter'], 'presence' => $c['presence'], 'onset' => $c['onset'] ?? null, 'pins' => $c['pins'] ?? []])->values(),
        ]]),
    ];
    $ms = fn (float $s) => \Core\Number\Written::fixed(1000 * $s, 0).' ms';
@endphp
<x-layout :title="'Debrief – '.$round->name" wide>
    <x-slot:head>@include('bench.stage-head', ['script' => 'debrief', 'fetch' => [$evidence]])</x-slot:head>
    <div class="bench debrief" data-debrief data-evidence="{{ $evidence }}" data-keys-url="{{ route('keys', [], false) }}" data-kind="{{ $case->kind->value }}">
        <section class="stage" aria-label="The swing">
            <div class="head">
                <h1>{{ $recording->golfer->pseudonym }}, {{ $recording->club }} <span class="quiet">{{ $place }} of {{ $order->count() }}</span></h1>
                <span class="quiet">{{ $recording->golfer->handedness }}-handed · was shown: {{ $case->shown()->label() }} · {{ $people->count() }} readings</span>
                <nav class="turn" aria-label="Cases">@if($place > 1)<a href="{{ route('debrief', [$round, $place - 1]) }}" data-turn="previous-case">before</a>@endif @if($place < $order->count())<a href="{{ route('debrief', [$round, $place + 1]) }}" data-turn="next-case">next case</a>@endif</nav>
            </div>
            @include('bench.stage', ['film' => true, 'trace' => true, 'swings' => $swings, 'locked' => true, 'lanes' => true, 'traceTitle' => 'Lead share, %'.($recording->device_class === 'plate' ? ', derived from the stance' : '').($recording->deviceClass()->measuresForce() ? ' · dotted: vertical force, % of body weight' : '')])
        </section>
        <aside class="side" aria-label="What was said">
            <div class="sheet-head">
                <div role="group" aria-label="Shown" class="way"><button type="button" data-do="names" aria-pressed="false">names <kbd data-key="names">N</kbd></button>@if($drawn->isNotEmpty())<select data-drawings aria-label="Whose drawings are shown"><option value="">no drawings</option>@foreach($drawn as $p)<option value="{{ $p['letter'] }}">drawn by {{ $p['letter'] }}</option>@endforeach</select>@endif</div>
                <button class="plain small" type="button" data-do="help">keys <kbd>?</kbd></button>
            </div>
            <ol class="topics">
                @foreach($said['faults'] as $f)
                    <li class="topic" data-topic="{{ $f['key'] }}">
                        <button type="button" class="line" aria-expanded="false"><span class="station">{{ $f['station'] }}</span><span class="name">{{ ucfirst($f['name']) }}</span><span class="split">@foreach(['present' => 'present', 'absent' => 'absent', 'cannot-tell' => 'unsure'] as $value => $n)<span class="call {{ $value }}" title="{{ $words[$value] }}">{{ $f[$n] }}<span class="only-heard"> {{ $words[$value] }}</span></span>@endforeach</span></button>
                        <div class="details">
                            <p class="small quiet">{{ ucfirst($f['lookFor']) }}.</p>
                            @foreach($words as $value => $word)
                                @php($calls = collect($f['calls'])->where('presence', $value))
                                @if($calls->isNotEmpty())
                                    <div class="camp"><span class="call {{ $value }}">{{ $word }}</span>
                                        <ul>@foreach($calls as $c)<li>{!! $who($c['letter']) !!}@isset($c['confidence']) <span class="small quiet">{{ $c['confidence'] }} %</span>@endisset @isset($c['severity']) <span class="small">{{ [1 => 'slight', 2 => 'clear', 3 => 'dominant'][$c['severity']] ?? '' }}</span>@endisset @isset($c['trend']) <span class="small">after is {{ $c['trend'] }}</span>@endisset</li>@endforeach</ul>
                                    </div>
                                @endif
                            @endforeach
                            @php($reasons = collect($f['calls'])->flatMap(fn ($c) => collect($c['pins'])->filter(fn ($p) => ($p['reason'] ?? '') !== '')->map(fn ($p) => [$c['letter'], $p])))
                            @foreach($reasons as [$letter, $pin])<p class="small">{!! $who($letter) !!} on {{ $pin['on'] }}@isset($pin['t']), <button type="button" class="link" data-go="{{ $pin['t'] }}" data-swing-of="{{ $pin['swing'] ?? 1 }}">{{ number_format($pin['t'], 2) }} s</button>@endisset: “{{ $pin['reason'] }}”</p>@endforeach
                            <button type="button" class="act second" data-do="answer" aria-expanded="false">what the key says <kbd data-key="answer">K</kbd></button>
                            <div class="answer" data-answer hidden>
                                @if($f['truth'])<p><x-call :presence="$f['truth']" /> <x-grade :grade="$f['grade']" /> <span class="small quiet">{{ $f['truth'] === 'present' ? $f['present'] : $f['absent'] }} of {{ $f['present'] + $f['absent'] }} said so</span></p>@elseif($f['grade'])<p>No answer that is scored: <x-grade :grade="$f['grade']" /></p>@else<p>The key does not speak of this recording.</p>@endif
                                @if($f['why'])<p class="small quiet">@said($f['why'], ['fault' => $f['name']])</p>@endif
                                @if($f['ruling'])<p class="small">Ruled: “{{ $f['ruling'] }}”</p>@endif
                            </div>
                        </div>
                    </li>
                @endforeach
                @if($case->kind === \Core\Reading\CaseKind::Single && $timed->isNotEmpty())
                    <li class="topic" data-topic="times">
                        <button type="button" class="line" aria-expanded="false"><span class="station">TP IM</span><span class="name">Top and impact, as each marked them</span></button>
                        <div class="details">
                            @foreach($timed as $code => $marks)
                                @php($sorted = $marks->sortBy('t')->values())
                                <p>{{ $code === 'TP' ? 'Top' : 'Impact' }}: {{ $marks->count() === 1 ? 'one mark' : $marks->count().' marks over '.$ms($sorted->last()['t'] - $sorted->first()['t']) }}@isset($said['stations'][$code]), against {{ number_format($said['stations'][$code], 3) }} s here: @foreach($sorted as $m){!! $who($m['letter']) !!} <button type="button" class="link" data-go="{{ $m['t'] }}">{{ ($m['t'] >= $said['stations'][$code] ? '+' : '').$ms($m['t'] - $said['stations'][$code]) }}</button> @endforeach @endisset</p>
                            @endforeach
                        </div>
                    </li>
                @endif
                <li class="topic" data-topic="case">
                    <button type="button" class="line" aria-expanded="false"><span class="station">case</span><span class="name">First cause, and the one thing to say</span></button>
                    <div class="details"><ul class="small">@foreach($people as $p)<li>{!! $who($p['letter']) !!} {{ $p['causes'] === [] ? 'no first cause' : implode(', ', $p['causes']) }}@if($p['cue'] !== ''): “{{ $p['cue'] }}”@endif</li>@endforeach</ul></div>
                </li>
            </ol>
            <h2>All cases, the most to talk about first</h2>
            <ol class="cases">@foreach($order as $i => $o)<li @if($i + 1 === $place) aria-current="true" @endif><a href="{{ route('debrief', [$round, $i + 1]) }}">{{ $o['case']->recording->golfer->pseudonym }}, {{ $o['case']->recording->club }}</a> <span class="small quiet">{{ $o['fault'] === null ? 'nothing apart' : $codebook->faults[$o['fault']]->name }}</span></li>@endforeach</ol>
            @if($rounds->count() > 1)<p class="small">Rounds: @foreach($rounds as $x)<a href="{{ route('debrief.first', $x) }}" @if($x->id === $round->id) aria-current="page" @endif>{{ $x->name }}</a> @endforeach</p>@endif
            <p class="small quiet">Under the ribbon: filled marks stand on the film, hollow ones on the trace; the bar is where somebody says it begins.</p>
            <p class="small quiet">The order is ours: for each fault the mean of the share of pairs who differ and the share who differ from the key, times the share who could tell; added up over the faults. It is no measure of agreement.</p>
        </aside>
        @include('bench.keys')
        <x-words :of="['keys']" />
        <p class="only-heard" aria-live="polite" data-announce></p>
    </div>
    <script type="application/json" id="said">@json($forPage)</script>
    <script type="module" src="/js/debrief/page.js"></script>
</x-layout>
