<x-layout :title="__('debrief.minutes.page')">
    <h1>{{ $title }}</h1>
    <p class="quiet about">{{ $when }}</p>
    <p>{{ $people ? __('debrief.minutes.people', ['people' => implode(', ', $people)]) : __('debrief.minutes.nobody') }}</p>
    @if($withheld)
        <p class="notice">{{ __('debrief.waits') }}</p>
    @endif
    @if($session->isOpen())
        <p><a class="act" href="{{ route('debriefs.present', $session) }}">{{ __('debrief.minutes.on') }}</a></p>
    @else
        <p class="no-print">
            <button type="button" class="act second" data-print>{{ __('debrief.minutes.print') }}</button>
            <a href="{{ route('debriefs.paper', $session) }}">{{ __('letter.pdf') }}</a>
        </p>
        <script type="module" src="@part('js/debrief/print.js')"></script>
    @endif
    @foreach($cases as $c)
        @if($c['begun'] || $c['notes'] !== '' || $c['decisions'])
            <section class="minute">
                @include('debrief.minute')
                @foreach($c['votes'] as $vote)
                    <p><b>{{ $vote['asks'] }}</b> <span class="small quiet">{{ $vote['stage'] }}</span></p>
                    @include('debrief.vote.results')
                @endforeach
                @foreach($c['decisions'] as $d)
                    @include('debrief.decision')
                @endforeach
            </section>
        @endif
    @endforeach
    @include('debrief.general')
    <details class="below no-print" @if($errors->any()) open @endif>
        <summary>{{ __('debrief.decisions.take') }}</summary>
        @include('debrief.decide', ['people' => $owners])
    </details>
    <p class="small quiet">{{ __('debrief.minutes.secret') }}</p>
</x-layout>
