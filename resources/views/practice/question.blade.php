<x-layout :title="$fault" wide>
    <x-slot:head><x-stage-head script="practice" :fetch="[$evidence]" /></x-slot:head>
    <div class="bench" data-practice data-evidence="{{ $evidence }}" data-keys-url="{{ route('keys', [], false) }}"
        data-at="{{ $station }}" @if($truth) data-answered @endif>
        <section class="stage" aria-label="{{ __('practice.swing') }}">
            <div class="head">
                <h1>{{ $fault }} <span class="quiet">{{ $place }}</span></h1>
                <span class="quiet">{{ $about }}</span>
            </div>
            @include('bench.stage', ['film' => true, 'trace' => true, 'locked' => true])
        </section>
        <aside class="side practice-side" aria-label="{{ __('practice.question') }}">
            <x-notices />
            <p class="small quiet">{{ $why }}</p>
            @if($truth)
                @include('practice.truth')
            @else
                <h2>{{ __('practice.ask') }}</h2>
                <p>{{ __('practice.look-for', ['what' => $lookFor]) }}
                    <button type="button" class="plain small" data-station="{{ $station }}">{{ $where }}</button></p>
                <form method="post" action="{{ route('practice.answer', [$sitting, $answer->place]) }}"
                    class="practice-answers" data-answers>
                    @csrf
                    @foreach(['present' => 'P', 'absent' => 'A', 'cannot-tell' => 'C'] as $value => $key)
                        <button class="act big second" name="presence" value="{{ $value }}"
                            data-answer="{{ $value }}">{{ __("calls.$value") }}
                            <kbd data-key="{{ $value }}">{{ $key }}</kbd></button>
                    @endforeach
                </form>
            @endif
            <form method="post" action="{{ route('practice.end', $sitting) }}">
                @csrf
                @method('delete')
                <button class="plain small">{{ __('practice.stop') }}</button>
            </form>
        </aside>
        @include('bench.keys')
        <x-words :of="['keys', 'stage.script']" />
    </div>
    <script type="module" src="@part('js/practice/page.js')"></script>
</x-layout>
