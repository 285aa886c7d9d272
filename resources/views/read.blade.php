@php($locked = $reading->isLocked())
<x-layout :title="'Case '.$reading->position" wide>
    <x-slot:head><link rel="stylesheet" href="/vendor/uplot/uPlot.min.css"></x-slot:head>
    <div class="bench" data-reading data-evidence="{{ route('read.evidence', $reading) }}" data-save="{{ route('read.update', $reading) }}" data-sheet-url="{{ route('read.sheet', $reading) }}" data-id="{{ $reading->public_id }}" @if($locked) data-locked @endif>
        <section class="stage" aria-label="The swing">
            <div class="head">
                <h1>Case {{ $reading->position }} <span class="quiet">of {{ $cases }}</span></h1>
                <span class="quiet">{{ $case->round->name }} · {{ $case->recording->golfer->handedness }}-handed · {{ $case->recording->club }}, {{ $case->recording->swing }} swing @if($case->recording->shape) · plays {{ $case->recording->shape }} @endif @if($case->recording->golfer->limits) · {{ $case->recording->golfer->limits }} @endif · {{ $case->shown()->label() }}</span>
            </div>
            @include('partials.stage', ['film' => $case->shows_film, 'trace' => $case->shows_trace, 'traceTitle' => 'Lead share, %'.($case->recording->device_class === 'plate' ? ', derived from the stance' : '').($case->recording->deviceClass()->measuresForce() ? ' · dotted: vertical force, % of body weight' : '')])
        </section>
        <aside class="side" aria-label="Reading sheet">
            <x-notices />
            <div style="display: flex; justify-content: space-between; align-items: baseline; gap: 1rem">
                <span><b data-count>0</b> of {{ count($codebook->faults) }} called</span>
                <span class="saved" data-saved role="status" data-state="saved">{{ $locked ? ($reading->handed_in_at ? 'handed in, locked' : 'the round is closed') : 'saved' }}</span>
                <button class="plain small" type="button" data-do="help">keys <kbd>?</kbd></button>
            </div>
            <form data-sheet autocomplete="off">
                <ul class="faults">
                    @foreach($codebook->faults as $key => $fault)
                        <li class="fault" data-fault="{{ $key }}">
                            <div class="line"><span class="station">{{ $fault->station->value }}</span><span class="name">{{ ucfirst($fault->name) }}</span><span class="small" data-summary></span></div>
                            <div class="details">
                                <p class="small quiet">{{ ucfirst($fault->lookFor) }}; {{ $fault->inTheTrace }}. Not to be taken for it: {{ implode(', ', $fault->confusedWith) }}. <span data-counter hidden>{{ $fault->counterExample }}</span></p>
                                <fieldset class="choices" @disabled($locked)><legend class="only-heard">call</legend>
                                    @foreach(['present' => 'P', 'absent' => 'A', 'cannot-tell' => 'C'] as $value => $k)
                                        <label><input type="radio" name="presence-{{ $key }}" value="{{ $value }}" data-set="presence"><span class="pick"><span class="call {{ $value }}">{{ $value === 'cannot-tell' ? 'cannot tell' : $value }}</span><kbd>{{ $k }}</kbd></span></label>
                                    @endforeach
                                </fieldset>
                                <fieldset class="choices" data-when="present" @disabled($locked)><legend>severity</legend>
                                    @foreach([1 => 'slight', 2 => 'clear', 3 => 'dominant'] as $value => $word)
                                        <label><input type="radio" name="severity-{{ $key }}" value="{{ $value }}" data-set="severity"><span class="pick">{{ $word }}<kbd>{{ $value }}</kbd></span></label>
                                    @endforeach
                                </fieldset>
                                <fieldset class="choices" data-when="present" @disabled($locked)><legend>to do</legend>
                                    @foreach(['now', 'later', 'leave'] as $value)
                                        <label><input type="radio" name="decision-{{ $key }}" value="{{ $value }}" data-set="decision"><span class="pick">{{ $value }}</span></label>
                                    @endforeach
                                    <kbd style="align-self: center">W</kbd>
                                </fieldset>
                                <div class="pins" data-when="present"><span class="quiet">begins at</span><button type="button" data-do="onset" @disabled($locked)><span data-onset>–</span> <kbd>O</kbd></button><label><input type="checkbox" data-cause @disabled($locked)> first cause <kbd>R</kbd></label></div>
                                <div class="pins" data-when="called"><span class="quiet">sure</span><button type="button" data-do="less" aria-label="less sure" @disabled($locked)>− <kbd>[</kbd></button><b data-confidence>–</b><button type="button" data-do="more" aria-label="more sure" @disabled($locked)>+ <kbd>]</kbd></button></div>
                                <div class="pins"><button type="button" data-do="pin-film" @disabled($locked || ! $case->shows_film)>pin on film <kbd>F</kbd></button><button type="button" data-do="pin-trace" @disabled($locked || ! $case->shows_trace)>pin on trace <kbd>T</kbd></button><span data-pins></span></div>
                            </div>
                        </li>
                    @endforeach
                </ul>
                <h2>The case</h2>
                <p class="small">First cause: <b data-causes>none chosen</b> <label style="margin-left: 0.8rem"><input type="checkbox" data-not-feet @disabled($locked)> not in the feet</label></p>
                <label class="small quiet" for="cue">The one thing to say, in eight words at most</label>
                <div class="cue"><input class="input" id="cue" data-cue maxlength="120" @disabled($locked)><span class="small quiet" data-words>0</span></div>
            </form>
            @unless($locked)
                <p style="margin-top: 1rem"><button class="act" type="button" data-do="summary">Check and hand in <kbd>H</kbd></button></p>
            @else
                <p style="margin-top: 1rem"><a class="act" href="{{ route('read.next') }}">Next case</a></p>
            @endunless
        </aside>
        <dialog data-summary-box aria-label="Check before handing in">
            <h1>Hand in case {{ $reading->position }}?</h1>
            <div data-summary-text style="margin: 0.8rem 0"></div>
            <form method="post" action="{{ route('read.hand-in', $reading) }}" data-hand-in>@csrf
                <button class="act" data-hand-in-button>Hand in and lock</button> <button class="act second" type="button" data-do="shut">Go on reading</button>
            </form>
        </dialog>
        <dialog data-help-box aria-label="Keys">
            <h1 style="margin-bottom: 0.8rem">Keys</h1>
            <div class="keys">
                @foreach(['↓ ↑' => 'next, previous fault', 'P A C' => 'present, absent, cannot tell', '1 2 3' => 'slight, clear, dominant', '[ ]' => 'less, more sure', 'W' => 'now, later, leave', 'O' => 'begins at the station on the ribbon', 'R' => 'first cause', 'F T' => 'pin on film, on trace', 'X' => 'take the last pin away', 'D' => 'counter-example', 'U' => 'undo', 'space' => 'play or halt', '← →' => 'one frame', ', .' => 'one sample', 'Shift ← →' => 'one station', 'S' => 'speed', 'L' => 'loop between stations', 'N' => 'write the cue', 'H' => 'check and hand in', '?' => 'this list'] as $k => $what)
                    <div><kbd>{{ $k }}</kbd> {{ $what }}</div>
                @endforeach
            </div>
            <button class="act second" type="button" data-do="shut" style="margin-top: 1rem">Back</button>
        </dialog>
        <p class="skip" aria-live="polite" data-announce></p>
    </div>
    <script type="application/json" id="faults">@json(collect($codebook->faults)->map(fn ($f) => ['name' => $f->name, 'station' => $f->station->value]))</script>
    <script type="module" src="/js/reading/page.js"></script>
</x-layout>
