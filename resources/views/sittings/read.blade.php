@php($locked = $reading->isLocked())
@php($recording = $case->recording)
@php($pins = ['film' => $reading->arm->film, 'trace' => $reading->arm->trace, 'turf' => $reading->arm->film, 'ball' => $looks !== [], 'strike' => $looks !== []])
<x-layout :title="'Case '.$reading->position" wide>
    <x-slot:head><x-stage-head script="reading" :fetch="[route('read.evidence', [$reading, 1], false), ...array_map(fn ($v) => route('read.film', [$reading, 1, $v->value, 'stream'], false), $reading->filmViews())]" /></x-slot:head>
    <div class="bench" data-reading data-evidence="{{ route('read.evidence', [$reading, 1], false) }}" data-save="{{ route('read.change', $reading, false) }}" data-sheet-url="{{ route('read.sheet', $reading, false) }}" data-keys-url="{{ route('keys', [], false) }}" data-id="{{ $reading->public_id }}" data-kind="{{ $case->kind->value }}" @if($locked) data-locked="{{ $reading->handed_in_at ? 'handed in, locked' : 'the round is closed' }}" @endif>
        <section class="stage" aria-label="The swing">
            <div class="head">
                <h1>Case {{ $reading->position }} <span class="quiet">of {{ $cases }}</span></h1>
                <span class="quiet">{{ $case->sitting->name }} · {{ $recording->golfer->handedness }}-handed · {{ $recording->club }}, {{ $recording->swing }} swing @if($recording->shape) · plays {{ $recording->shape }} @endif @if($recording->golfer->limits) · {{ $recording->golfer->limits }} @endif · {{ $reading->shown()->label() }}@if($reading->stage === \Core\Reading\Stage::Reveal) · <b>second look: the ball and the numbers are shown now</b>@endif</span>
            </div>
            @include('bench.stage', ['film' => $reading->arm->film, 'trace' => $reading->arm->trace, 'swings' => $swings, 'locked' => $locked, 'traceTitle' => 'Lead share, %'.($recording->device_class === 'plate' ? ', derived from the stance' : '').($recording->deviceClass()->measuresForce() ? ' · dotted: vertical force, % of body weight' : '')])
        </section>
        <aside class="side" aria-label="Reading sheet">
            <x-notices />
            @if($looks)@include('sittings.outcome')@endif
            @if($case->kind === \Core\Reading\CaseKind::Series)<p class="notice small">{{ $case->swings->count() }} swings of one golfer, judged as a whole: present is what shows in most of them. Swings marked cold were the first of the day; set them aside.</p>@elseif($case->kind === \Core\Reading\CaseKind::Pair)<p class="notice small">One golfer, before and after: call a fault present if it shows in either, and say whether after is better, the same or worse.</p>@endif
            <div class="sheet-head">
                <div role="group" aria-label="Way through the sheet" class="way"><button type="button" data-way="stations" aria-pressed="true">station by station</button><button type="button" data-way="all" aria-pressed="false">all at once</button></div>
                <button class="plain small" type="button" data-do="help">keys <kbd>?</kbd></button>
            </div>
            <div class="sheet-head"><span><b data-count>0</b> of {{ count($codebook->faults) }} called</span> <span class="saved" data-saved role="status" data-state="saved">{{ $locked ? ($reading->handed_in_at ? 'handed in, locked' : 'the round is closed') : 'saved' }}</span></div>
            <div data-conflicts role="alert"></div>
            <nav class="walk" aria-label="Stations of the sheet" data-walk>
                @foreach(\Core\Motion\Station::cases() as $s)<button type="button" data-walk-to="{{ $s->value }}" title="{{ ucfirst($s->label()) }}">{{ $s->value }}</button>@endforeach
                <button type="button" data-walk-to="case">case</button>
            </nav>
            <form data-sheet autocomplete="off">
                <h2 class="station-name" data-station-name hidden></h2>
                <ul class="faults">
                    @foreach($codebook->faults as $key => $fault)
                        <li class="fault" data-fault="{{ $key }}" data-at="{{ $fault->station->value }}">
                            <div class="line"><span class="station">{{ $fault->station->value }}</span><span class="name" id="n-{{ $key }}">{{ ucfirst($fault->name) }}</span><span class="small" data-summary></span></div>
                            <div class="details" role="group" aria-labelledby="n-{{ $key }}">
                                <p class="small quiet">{{ ucfirst($fault->lookFor) }}. <button type="button" class="link" data-do="define" aria-expanded="false" aria-controls="d-{{ $key }}">what counts <kbd data-key="define">D</kbd></button></p>
                                <dl class="facts small define" id="d-{{ $key }}" data-definition hidden>
                                    <dt>in the trace</dt><dd>{{ ucfirst($fault->inTheTrace) }}</dd>
                                    <dt>not to be taken for it</dt><dd>{{ ucfirst(implode(', ', $fault->confusedWith)) ?: '–' }}</dd>
                                    <dt>counter-example</dt><dd>{{ $fault->counterExample }}</dd>
                                    @if($fault->disagreement)<dt>coaches differ</dt><dd>{{ $fault->disagreement }}</dd>@endif
                                </dl>
                                <fieldset class="choices" @disabled($locked)><legend class="only-heard">{{ $fault->name }}</legend>
                                    @foreach(['present' => 'P', 'absent' => 'A', 'cannot-tell' => 'C'] as $value => $k)
                                        <label><input type="radio" name="presence-{{ $key }}" value="{{ $value }}" data-set="presence"><span class="pick"><span class="call {{ $value }}">{{ $value === 'cannot-tell' ? 'cannot tell' : $value }}</span><kbd data-key="{{ $value }}">{{ $k }}</kbd></span></label>
                                    @endforeach
                                </fieldset>
                                <fieldset class="choices" data-when="present" @disabled($locked)><legend>severity</legend>
                                    @foreach([1 => 'slight', 2 => 'clear', 3 => 'dominant'] as $value => $word)
                                        <label><input type="radio" name="severity-{{ $key }}" value="{{ $value }}" data-set="severity"><span class="pick">{{ $word }}<kbd data-key="{{ $word }}">{{ $value }}</kbd></span></label>
                                    @endforeach
                                </fieldset>
                                @if($case->kind === \Core\Reading\CaseKind::Pair)
                                    <fieldset class="choices" data-when="present" @disabled($locked)><legend>after is</legend>
                                        @foreach(['better', 'same', 'worse'] as $value)<label><input type="radio" name="trend-{{ $key }}" value="{{ $value }}" data-set="trend"><span class="pick">{{ $value }}</span></label>@endforeach
                                        <kbd data-key="trend" style="align-self: center">Q</kbd>
                                    </fieldset>
                                @endif
                                <fieldset class="choices" data-when="present" @disabled($locked)><legend>to do</legend>
                                    @foreach(['now', 'later', 'leave'] as $value)
                                        <label><input type="radio" name="decision-{{ $key }}" value="{{ $value }}" data-set="decision"><span class="pick">{{ $value }}</span></label>
                                    @endforeach
                                    <kbd data-key="decision" style="align-self: center">W</kbd>
                                </fieldset>
                                <div class="pins" data-when="present"><span class="quiet">begins at</span><button type="button" data-do="onset" @disabled($locked)><span data-onset>–</span> <kbd data-key="onset">O</kbd></button><label><input type="checkbox" data-cause @disabled($locked)> first cause <kbd data-key="cause">R</kbd></label><button type="button" data-do="link" @disabled($locked)>leads to … <kbd data-key="link">B</kbd></button></div>
                                <div class="pins" data-when="called"><span class="quiet">sure</span><button type="button" data-do="less" aria-label="less sure" @disabled($locked)>− <kbd data-key="less">[</kbd></button><b data-confidence>–</b><button type="button" data-do="more" aria-label="more sure" @disabled($locked)>+ <kbd data-key="more">]</kbd></button></div>
                                <div class="pins" data-when="any"><span class="quiet">pin on</span>@foreach($pins as $on => $may)@if($may)<button type="button" data-do="pin-{{ $on }}" aria-label="pin on {{ $on }}" @disabled($locked)>{{ $on }} <kbd data-key="pin-{{ $on }}">{{ ['film' => 'F', 'trace' => 'T', 'turf' => 'M', 'ball' => 'J', 'strike' => 'Z'][$on] }}</kbd></button>@endif @endforeach</div>
                                <ul class="pin-list" data-pins></ul>
                            </div>
                        </li>
                    @endforeach
                </ul>
                <section data-case aria-labelledby="the-case">
                    <h2 id="the-case">The case</h2>
                    <p class="small">First cause: <b data-causes>none chosen</b> <label class="check"><input type="checkbox" data-not-feet @disabled($locked)> not in the feet <kbd data-key="not-feet">0</kbd></label></p>
                    <div class="chain"><svg data-chain role="img" aria-label="Chain of causes" hidden></svg><ul class="small" data-links></ul>
                        @unless($locked)<div class="pins"><label class="only-heard" for="link-from">Cause</label><select id="link-from" data-link-from></select> <span class="quiet">leads to</span> <label class="only-heard" for="link-to">Effect</label><select id="link-to" data-link-to></select><button type="button" data-do="join">add</button></div>@endunless
                    </div>
                    <label class="small quiet" for="cue">The one thing to say, in eight words at most <kbd data-key="cue">N</kbd></label>
                    <div class="cue"><input class="input" id="cue" data-cue maxlength="120" @disabled($locked)><span class="small quiet" data-words>0</span></div>
                    <div class="two">
                        <div><label class="small quiet" for="drill">The one drill <kbd data-key="drill">Y</kbd></label><select class="wide" id="drill" data-drill @disabled($locked)><option value="">none</option>@foreach(collect($codebook->drills())->sortBy('name') as $k => $d)<option value="{{ $k }}">{{ $d->name }}</option>@endforeach</select></div>
                        <div><label class="small quiet" for="stop">taken as far as</label><select class="wide" id="stop" data-stop @disabled($locked)><option value=""></option>@foreach(\Core\Reading\Stop::cases() as $s)<option value="{{ $s->value }}">{{ $s->label() }}</option>@endforeach</select></div>
                    </div>
                    @foreach($codebook->drills() as $k => $d)<div class="small drill" data-drill-text="{{ $k }}" hidden><p>{{ $d->setUp }} {{ implode(' ', $d->steps) }} <i>{{ $d->far }}</i></p><p class="quiet">@if($d->caution && ! $d->harms){{ $d->caution }} @endif{{ \Core\Codebook\Drill::CAUTION }}</p>@if($locked && $d->harms)<p class="notice refused">{{ ucfirst($d->for) }}: {{ $d->not }}. {{ $d->caution }}</p>@endif</div>@endforeach
                    <div class="two">
                        <div><label class="small quiet" for="miss">The miss to expect</label><select class="wide" id="miss" data-miss @disabled($locked)><option value=""></option>@foreach(\Core\Reading\Miss::cases() as $m)<option value="{{ $m->value }}">{{ $m->label() }}</option>@endforeach</select></div>
                        @if($case->kind === \Core\Reading\CaseKind::Single)<div class="pins marks"><span class="quiet small">Your own times</span>@foreach(['TP' => ['top', 'K'], 'IM' => ['impact', 'I']] as $code => [$word, $k])<button type="button" data-do="mark-{{ $code }}" @disabled($locked)>{{ $word }} <b data-mark="{{ $code }}">–</b> <kbd data-key="mark-{{ $code }}">{{ $k }}</kbd></button>@endforeach</div>@endif
                    </div>
                </section>
            </form>
            @unless($locked)
                <p class="hand-in"><button class="act second" type="button" data-do="rest-absent" data-on-walk>{{ __('sheet.rest') }} <kbd data-key="rest-absent">;</kbd></button> <button class="act second" type="button" data-do="next-station" data-on-walk>Next station <kbd data-key="next-station">page down</kbd></button> <button class="act" type="button" data-do="summary">Check and hand in <kbd data-key="summary">H</kbd></button></p>
            @else
                <p class="hand-in"><a class="act" href="{{ route('read.next') }}">Next case</a></p>
            @endunless
        </aside>
        <dialog data-summary-box aria-label="Check before handing in">
            <h1>Hand in case {{ $reading->position }}?</h1>
            <div class="check-text" data-summary-text></div>
            <form method="post" action="{{ route('read.hand-in', $reading) }}" data-hand-in>@csrf
                <button class="act" data-hand-in-button>Hand in and lock</button> <button class="act second" type="button" data-do="shut">Go on reading</button>
            </form>
        </dialog>
        @include('bench.keys')
        <x-words :of="['keys', 'sheet']" />
        <p class="only-heard" aria-live="polite" data-announce></p>
    </div>
    <script type="application/json" id="faults">@json(collect($codebook->faults)->map(fn ($f) => ['name' => $f->name, 'station' => $f->station->value]))</script>
    <script type="application/json" id="stations">@json(collect(\Core\Motion\Station::cases())->mapWithKeys(fn ($s) => [$s->value => $s->label()]))</script>
    <script type="module" src="/js/reading/page.js"></script>
</x-layout>
