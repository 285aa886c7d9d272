<x-layout :title="__('followup.page', ['golfer' => $golfer])">
    <p class="small"><a href="{{ route('prescriptions.show', $prescription) }}">{{ __('prescriptions.title', ['golfer' => $golfer]) }}</a></p>
    <h1>{{ $title ?? __('followup.page', ['golfer' => $golfer]) }}</h1>
    <p class="quiet">{{ __('followup.about', ['before' => $before, 'day' => $day, 'drill' => $drill, 'cue' => $cue]) }}</p>
    @if($locked)
        <p class="words">{{ __('followup.felt', ['felt' => $answers[$followUp->felt->value]]) }}
            @if($followUp->felt_says)
                “{{ $followUp->felt_says }}”
            @endif
            {{ __('followup.judged', ['judged' => $answers[$followUp->judged->value]]) }}
            @if($followUp->judged_says)
                “{{ $followUp->judged_says }}”
            @endif
            <span class="quiet small">{{ __($followUp->felt_late ? 'followup.locked-late' : 'followup.locked', ['at' => $locked]) }}</span></p>
        @include('lessons.followed')
    @else
        <p class="words">{{ __('followup.feel-first') }}</p>
        <form method="post" action="{{ route('follow-ups.feel', $followUp) }}" class="felt">
            @csrf
            @foreach(['felt', 'judged'] as $who)
                <fieldset class="field">
                    <legend class="label">{{ __("followup.ask.$who") }}</legend>
                    @foreach($answers as $key => $word)
                        <label class="line big"><input type="radio" name="{{ $who }}" value="{{ $key }}" required
                            @checked(\App\Http\Old::text($who) === $key)> {{ $word }}</label>
                    @endforeach
                    <x-field name="{{ $who }}_says" :label="__('followup.in-words.'.$who)" maxlength="2000" />
                </fieldset>
            @endforeach
            <button class="act big">{{ __('followup.keep-feel') }}</button>
        </form>
    @endif
</x-layout>
