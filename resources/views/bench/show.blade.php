<x-layout :title="__('bench.head', ['golfer' => $recording->golfer->pseudonym])" wide>
    <x-slot:head><x-stage-head script="bench" :fetch="$fetch" :pictures="$pictures" /></x-slot:head>
    <div class="bench" data-bench data-evidence="{{ $fetch[0] }}" data-keys-url="{{ route('keys', [], false) }}">
        <section class="stage" aria-label="{{ __('bench.swing') }}">
            <div class="head">
                <h1>{{ $recording->golfer->pseudonym }}, {{ $recording->club }}</h1>
                <span class="quiet">{{ $about }}</span>
            </div>
            @include('bench.stage', ['trace' => true])
        </section>
        <aside class="side" aria-label="{{ __('bench.measured') }}">
            <x-notices />
            @if($anew)
                <p class="notice small" data-waits="{{ route('bench.state', $recording, false) }}"
                    role="status">{{ __('bench.anew') }}</p>
                <script type="module" src="@part('js/work.js')"></script>
            @endif
            <button class="plain small keys-button" type="button" data-do="help">{{ __('bench.keys') }}
                <kbd>?</kbd></button>
            @foreach($findings as $finding)
                <details class="finding {{ $finding['severity'] }}">
                    <summary>{{ $finding['says'] }}</summary>
                    <p>
                        {{ $finding['effect'] }}
                        @if($finding['at'] !== null)
                            <button type="button" class="link"
                                data-go="{{ $finding['at'] }}">{{ $finding['go'] }}</button>
                        @endif
                    </p>
                    @if($finding['repair'] !== null && $mayMark)
                        <form method="post" action="{{ route('bench.repair', $recording) }}">
                            @csrf
                            <input type="hidden" name="repair" value="{{ $finding['repair'] }}">
                            <button
                                class="act second small">{{ __("import.repairs.{$finding['repair']}.do") }}</button>
                        </form>
                    @endif
                </details>
            @endforeach
            @if($repairs !== [])
                <div class="finding set-right">
                    <p class="small">{{ implode(' ', $repairs) }}</p>
                    @if($mayMark)
                        <form method="post" action="{{ route('bench.repair.back', $recording) }}">
                            @csrf
                            @method('delete')
                            <button class="act second small">{{ __('import.take-back') }}</button>
                        </form>
                    @endif
                </div>
            @endif
            @if($checked !== null)
                <p class="small quiet">{{ __('bench.checked', ['source' => $checked]) }}</p>
            @endif
            <nav class="lenses" aria-label="{{ __('bench.lens') }}">
                @foreach($lenses as $lens)
                    <a href="{{ $lens['url'] }}" @if($lens['here']) aria-current="true" @endif>{{ $lens['name'] }}</a>
                @endforeach
            </nav>
            @include('bench.show.verdicts')
            @if($flight)
                <h2>{{ __('facts.flew') }}</h2>
                <x-flight :shape="$flight['shape']" :says="$flight['says']" />
            @endif
            @if($leanings)
                @include('bench.show.leanings')
            @endif
            @include('bench.beside', ['label' => __('bench.beside'), 'of' => $recording])
            @include('bench.show.measurements')
            @include('bench.show.stations')
            @if($clock)
                @include('bench.show.clock')
            @endif
            @include('shelf.films')
            @if($mayMark)
                <p class="small"><a href="{{ route('facts', $recording) }}">{{ __('facts.set-right') }}</a></p>
                <p class="small"><a href="{{ route('bench.remove', $recording) }}">{{ __('bench.remove') }}</a></p>
            @endif
            <h2>{{ __('bench.mind.title') }}</h2>
            <p class="small quiet">{{ __('bench.mind.says') }}</p>
        </aside>
        @include('bench.keys')
        <x-words :of="['keys', 'stage.script', 'bench.script', 'films.script']" />
        <p class="only-heard" aria-live="polite" data-announce></p>
    </div>
    <script type="module" src="@part('js/bench/page.js')"></script>
</x-layout>
