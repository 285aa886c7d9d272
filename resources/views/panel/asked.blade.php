<x-layout :title="$title" wide>
    <x-slot:head><x-stage-head script="asked" :fetch="[$evidence]" /></x-slot:head>
    <div class="bench" data-asked data-evidence="{{ $evidence }}" data-keys-url="{{ route('keys', [], false) }}">
        <section class="stage" aria-label="{{ __('panel.following.swing') }}">
            <div class="head">
                <h1>{{ $title }}</h1>
                <span class="quiet">{{ $about }}</span>
                <nav class="turn" aria-label="{{ __('panel.following.cases') }}">
                    @if($before)
                        <a href="{{ $before }}">{{ __('panel.following.before') }}</a>
                    @endif
                    @if($next)
                        <a href="{{ $next }}">{{ __('panel.following.next') }}</a>
                    @endif
                </nav>
            </div>
            @include('bench.stage', ['locked' => true])
        </section>
        <aside class="side" aria-label="{{ __("panel.$step.questions") }}">
            <x-notices />
            <p class="small"><b>{{ $case }}</b></p>
            <p class="small">{{ __("panel.$step.says") }}</p>
            @foreach($questions as $q)
                @include($step === 'following' ? 'panel.question' : 'panel.drill')
            @endforeach
            @if($next)
                <p class="hand-in"><a class="act" href="{{ $next }}">{{ __('panel.following.next') }}</a></p>
            @else
                <p class="hand-in"><a class="act" href="{{ route('today') }}">{{ __('panel.following.end') }}</a></p>
            @endif
        </aside>
        @include('bench.keys')
        <x-words :of="['keys', 'stage.script']" />
    </div>
    <script type="module" src="@part('js/panel/asked.js')"></script>
</x-layout>
