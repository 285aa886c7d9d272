{{-- The films of a recording: bringing one in, what became of it, its clock. Expects $recording, $mayMark. --}}
@php($known = $recording->films->keyBy('view'))
<h2 id="films">Films</h2>
@foreach(['face-on' => 'Face-on', 'down-the-line' => 'Down the line'] as $view => $label)
    @php($film = $known[$view] ?? null)
    <section class="film-row" data-film-row="{{ $view }}" aria-label="{{ $label }} film" @if($film && in_array($film->state, ['waiting', 'converting'], true)) data-watch="{{ route('films.state', $film) }}" @endif>
        <h3>{{ $label }}</h3>
        @if($film?->isReady())
            <p class="small">{{ $film->describe() }}. First frame at <b>{{ number_format($film->offset_s, 3) }} s</b>{{ $film->clock_uncertainty_s ? ' ± '.number_format(1000 * $film->clock_uncertainty_s, 1).' ms' : '' }}@if($film->clock_by === null)<span class="doubt">clock not set</span>@else, {{ ['event' => 'by one event', 'events' => 'by '.count($film->clock_events).' events', 'hand' => 'by hand', 'as recorded' => 'as recorded'][$film->clock_by] }}@endif; drift {{ abs($film->drift_ppm) < 0.5 ? 'none' : \Core\Number\Written::fixed($film->drift_ppm, 0).' parts per million' }}.</p>
            @if($mayMark)
                <div class="clock-keys" data-film-clock="{{ $view }}">
                    <button type="button" class="link" data-hold>hold this frame, move the rest</button>
                    <form method="post" action="{{ route('films.clock', $film) }}" data-same hidden>@csrf<input type="hidden" name="by" value="event"><input type="hidden" name="film_s"><input type="hidden" name="trace_s"><button class="link">the same moment</button></form>
                    <form method="post" action="{{ route('films.clock', $film) }}" data-impact>@csrf<input type="hidden" name="by" value="event"><input type="hidden" name="code" value="IM"><input type="hidden" name="film_s"><input type="hidden" name="trace_s" value="0"><button class="link">this frame is impact</button></form>
                    @foreach([-1, 1] as $way)<form method="post" action="{{ route('films.clock', $film) }}">@csrf<input type="hidden" name="by" value="hand"><input type="hidden" name="shift" value="{{ sprintf('%.9F', $way / $film->rate_hz) }}"><button class="link">{{ $way < 0 ? '−' : '+' }} frame</button></form>@endforeach
                    @if($film->clock_events)<form method="post" action="{{ route('films.clock', $film) }}">@csrf<input type="hidden" name="by" value="forget"><button class="link">take the events back</button></form>@endif
                    <a class="link" href="{{ route('films.original', $film) }}">the original</a>
                    <form method="post" action="{{ route('films.drop', $film) }}">@csrf @method('delete')<button class="link">take it away</button></form>
                </div>
                @if($film->clock_events)<ul class="small quiet">@foreach($film->clock_events as $e)<li>{{ $e['code'] ?? 'a moment' }}: film {{ number_format($e['film'], 3) }} s = recording {{ number_format($e['trace'], 3) }} s</li>@endforeach</ul>@endif
            @endif
        @else
            @if($film?->state === 'refused')<p class="notice refused small">{{ $film->message }}</p>@endif
            @if($film && in_array($film->state, ['waiting', 'converting'], true))
                <p class="small" data-words>{{ $film->state === 'waiting' ? 'Waiting to be made ready' : 'Being made ready' }} – you can go on with other things.</p><progress max="1" value="{{ $film->progress }}" aria-label="conversion"></progress>
            @elseif($mayMark)
                @if($film?->state === 'arriving')<p class="small quiet">{{ $film->name }} did not arrive whole; choose it again.</p>@endif
                <form data-upload="{{ route('films.store', $recording) }}" data-view="{{ $view }}">
                    <label class="small">Film file (mp4, mov, webm) <input type="file" accept="video/mp4,video/quicktime,video/webm,.mov,.mp4,.webm" name="file"></label>
                    <label class="small">plays <select name="slowed"><option value="1">as fast as life</option><option value="2">2 times slower</option><option value="4">4 times slower</option><option value="8">8 times slower</option><option value="10">10 times slower</option></select></label>
                    <progress max="1" value="0" hidden aria-label="upload"></progress><p class="small" role="status" data-words></p>
                </form>
            @else<p class="small quiet">None.</p>@endif
        @endif
    </section>
@endforeach
