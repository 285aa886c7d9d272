<x-layout :title="$title" wide>
    <x-slot:head><x-stage-head script="practice" :fetch="[$evidence]" /></x-slot:head>
    <div class="bench" data-practice data-evidence="{{ $evidence }}" data-keys-url="{{ route('keys', [], false) }}"
        data-at="{{ $station }}" @if($truth) data-answered @endif>
        <section class="stage" aria-label="{{ __('practice.swing') }}">
            <div class="head">
                <h1>{{ $title }} <span class="quiet">{{ $place }}</span></h1>
                <span @class(['quiet' => ! $made, 'simulated' => $made])>{{ $about }}</span>
            </div>
            @include('bench.stage', ['locked' => true])
        </section>
        <aside class="side practice-side" aria-label="{{ __('practice.question') }}">
            <x-notices />
            <p class="small quiet">{{ $why }}</p>
            @if($truth)
                @include('practice.truth')
            @else
                <h2>{{ $asks }}</h2>
                @if($look)
                    <p>{{ __('practice.look-for', ['what' => $look]) }}
                        @if($station)
                            <button type="button" class="plain small" data-station="{{ $station }}">{{ $where }}</button>
                        @endif
                    </p>
                @endif
                <form method="post" action="{{ route('practice.answer', [$sitting, $answer->place]) }}"
                    class="practice-answers" data-answers>
                    @csrf
                    @if($rows)
                        @include('practice.whole')
                    @elseif($options)
                        @foreach($options as $option)
                            <button class="act big second" name="said" value="{{ $option['value'] }}"
                                data-answer="{{ $option['does'] }}">{{ $option['label'] }}
                                <kbd data-key="{{ $option['does'] }}">{{ $option['key'] }}</kbd></button>
                        @endforeach
                    @else
                        <button class="act big" name="said" value="" data-answer="mark-moment" data-moment>{{ __('practice.moment.mark') }}
                            <kbd data-key="mark-moment">M</kbd></button>
                    @endif
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
