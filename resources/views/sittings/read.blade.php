<x-layout :title="$title" wide>
    <x-slot:head><x-stage-head script="reading" :fetch="$fetch" :pictures="$pictures" /></x-slot:head>
    <div class="bench" data-reading data-evidence="{{ $fetch[0] }}"
        data-save="{{ route('read.change', $reading, false) }}"
        data-sheet-url="{{ route('read.sheet', $reading, false) }}" data-keys-url="{{ route('keys', [], false) }}"
        data-id="{{ $reading->public_id }}" data-kind="{{ $kind }}" @if($locked) data-locked="{{ $state }}" @endif>
        <section class="stage" aria-label="{{ __('reading.swing') }}">
            <div class="head">
                <h1>{{ $title }} <span class="quiet">{{ $of }}</span></h1>
                <span class="quiet">{{ $about }}
                    @if($secondLook)
                        · <b>{{ __('reading.second-look') }}</b>
                    @endif
                </span>
            </div>
            @include('bench.stage', ['film' => $reading->arm->film, 'trace' => $reading->arm->trace])
        </section>
        <aside class="side" aria-label="{{ __('reading.sheet') }}">
            <x-notices />
            @if($outcome)
                @include('sittings.outcome')
            @endif
            @if($asWhole)
                <p class="notice small">{{ $asWhole }}</p>
            @endif
            @include('sittings.read.head')
            <template data-controls>@include('sittings.read.controls')</template>
            <form data-sheet autocomplete="off">
                <h2 class="station-name" data-station-name hidden></h2>
                <ul class="faults">
                    @foreach($faults as $fault)
                        @include('sittings.read.fault')
                    @endforeach
                </ul>
                @include('sittings.read.case')
            </form>
            <p class="hand-in">
                @if($locked)
                    <a class="act" href="{{ route('read.next') }}">{{ __('reading.next-case') }}</a>
                @else
                    <button class="act second" type="button" data-do="rest-absent" data-on-walk>{{ __('sheet.rest') }}
                        <kbd data-key="rest-absent">;</kbd></button>
                    <button class="act second" type="button" data-do="next-station"
                        data-on-walk>{{ __('reading.next-station') }} <kbd
                            data-key="next-station">page down</kbd></button>
                    <button class="act" type="button" data-do="summary">{{ __('reading.check') }}
                        <kbd data-key="summary">H</kbd></button>
                @endif
            </p>
        </aside>
        <dialog data-summary-box aria-label="{{ __('reading.hand-in.label') }}">
            <h1>{{ __('reading.hand-in.title', ['n' => $reading->position]) }}</h1>
            <div class="check-text" data-summary-text></div>
            <form method="post" action="{{ route('read.hand-in', $reading) }}" data-hand-in>
                @csrf
                <button class="act" data-hand-in-button>{{ __('reading.hand-in.act') }}</button>
                <button class="act second" type="button" data-do="shut">{{ __('reading.hand-in.back') }}</button>
            </form>
        </dialog>
        @include('bench.keys')
        <x-words :of="['keys', 'stage.script', 'sheet']" />
        <p class="only-heard" aria-live="polite" data-announce></p>
    </div>
    <script type="application/json" id="faults">@json($names)</script>
    <script type="application/json" id="outside-names">@json($outsideNames)</script>
    <script type="application/json" id="turf">@json($turf)</script>
    <script type="application/json" id="stations">@json($stations)</script>
    <script type="module" src="@part('js/reading/page.js')"></script>
</x-layout>
