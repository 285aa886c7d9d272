<x-layout :title="__('bench.compare.head', [
    'first' => $first->golfer->pseudonym,
    'second' => $second->golfer->pseudonym,
])" wide>
    <x-slot:head><x-stage-head script="compare" :fetch="$fetch" /></x-slot:head>
    <div class="bench compare" data-compare data-first="{{ $fetch[0] }}" data-second="{{ $fetch[1] }}">
        <section class="stage" aria-label="{{ __('bench.compare.swings') }}">
            <div class="head">
                <h1>
                    <a href="{{ route('bench', $first) }}">{{ $names['first'] }}</a>
                    <span class="quiet">{{ __('bench.compare.beside') }}</span>
                    <a href="{{ route('bench', $second) }}">{{ $names['second'] }}</a>
                </h1>
                <a class="small"
                    href="{{ route('bench.compare', [$second, $first]) }}">{{ __('bench.compare.change') }}</a>
                <span class="locks">
                    <select data-only-view aria-label="{{ __('bench.compare.view') }}">
                        @foreach(['face-on', 'down-the-line'] as $view)
                            <option value="{{ $view }}">{{ __("views.$view") }}</option>
                        @endforeach
                    </select>
                    <select data-mode aria-label="{{ __('bench.compare.locks') }}">
                        <option value="stations">{{ __('bench.compare.everywhere') }}</option>
                        @foreach($stations as $s)
                            <option value="{{ $s }}"
                                title="{{ __("stations.names.$s") }}">{{ __('bench.compare.at', ['station' => $s]) }}</option>
                        @endforeach
                    </select>
                </span>
            </div>
            @include('bench.compare.stage')
        </section>
        <aside class="side" aria-label="{{ __('bench.compare.differences') }}">
            <h2 class="first">{{ $title }}</h2>
            <p class="quiet small">{{ $about }}</p>
            @include('bench.beside', ['label' => __('bench.compare.another'), 'of' => $first])
            @if($clear !== [])
                @include('bench.compare.rows', ['rows' => $clear, 'beyond' => true])
            @endif
            @if($rest !== [])
                <details class="group" @if($clear === []) open @endif>
                    <summary>{{ $restTitle }}</summary>
                    @include('bench.compare.rows', ['rows' => $rest, 'beyond' => false])
                </details>
            @endif
        </aside>
        @include('bench.keys')
        <x-words :of="['keys', 'stage.script', 'bench.script']" />
    </div>
    <script type="module" src="@part('js/bench/compare.js')"></script>
</x-layout>
