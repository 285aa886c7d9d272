<x-layout :title="__('debrief.head', ['round' => $round->name])" wide>
    <x-slot:head><x-stage-head script="debrief" :fetch="[$evidence]" /></x-slot:head>
    <div class="bench debrief" data-debrief data-evidence="{{ $evidence }}"
        data-keys-url="{{ route('keys', [], false) }}" data-kind="{{ $kind }}">
        <section class="stage" aria-label="{{ __('debrief.swing') }}">
            <div class="head">
                <h1>{{ $title }} <span class="quiet">{{ $place }}</span></h1>
                <span class="quiet">{{ $about }}</span>
                @if($noFilm)
                    <span class="quiet">{{ $noFilm }}</span>
                @endif
                <nav class="turn" aria-label="{{ __('debrief.cases') }}">
                    @if($before)
                        <a href="{{ $before }}" data-turn="previous-case">{{ __('debrief.before') }}</a>
                    @endif
                    @if($next)
                        <a href="{{ $next }}" data-turn="next-case">{{ __('debrief.next') }}</a>
                    @endif
                </nav>
            </div>
            @include('bench.stage', ['film' => true, 'trace' => true, 'locked' => true, 'lanes' => true])
        </section>
        <aside class="side" aria-label="{{ __('debrief.said') }}">
            @isset($held)
                @include('debrief.held')
            @endisset
            <div class="sheet-head">
                <div role="group" aria-label="{{ __('debrief.shown') }}" class="way">
                    <button type="button" data-do="names" aria-pressed="false">{{ __('debrief.names') }}
                        <kbd data-key="names">N</kbd></button>
                    @if($drawn !== [])
                        <select data-drawings aria-label="{{ __('debrief.whose-drawings') }}">
                            <option value="">{{ __('debrief.no-drawings') }}</option>
                            @foreach($drawn as $p)
                                <option value="{{ $p['letter'] }}">{{ __('debrief.script.drawn-by', ['who' => $p['letter']]) }}</option>
                            @endforeach
                        </select>
                    @endif
                </div>
                <button class="plain small" type="button" data-do="help">{{ __('debrief.keys') }} <kbd>?</kbd></button>
            </div>
            <ol class="topics">
                @foreach($faults as $f)
                    @include('debrief.case.fault')
                @endforeach
                @if($times !== [])
                    @include('debrief.case.times')
                @endif
                <li class="topic" data-topic="case">
                    <button type="button" class="line" aria-expanded="false"><span
                        class="station">{{ __('debrief.case') }}</span><span
                        class="name">{{ __('debrief.causes') }}</span></button>
                    <div class="details">
                        <ul class="small">
                            @foreach($people as $p)
                                <li><x-letter
                                    :of="$p" /> {{ $p['causes'] }}@if($p['cue'] !== ''): “{{ $p['cue'] }}”@endif</li>
                            @endforeach
                        </ul>
                    </div>
                </li>
            </ol>
            @unless(isset($held))
                @include('debrief.begin')
                @include('debrief.case.order')
            @endunless
        </aside>
        @include('bench.keys')
        <x-words :of="['keys', 'stage.script', 'debrief.script']" />
        <p class="only-heard" aria-live="polite" data-announce></p>
    </div>
    <script type="application/json" id="said">@json($forPage)</script>
    <script type="module" src="@part('js/debrief/page.js')"></script>
    @isset($held)
        <script type="module" src="@part('js/debrief/held.js')"></script>
    @endisset
</x-layout>
