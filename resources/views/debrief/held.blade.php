{{-- What the presenter of a debrief does with the case: shows, asks, notes, decides. Expects $held. --}}
<section class="held" data-held data-show="{{ route('debriefs.show', $held['session'], false) }}"
    data-case="{{ $held['shown']->id }}" data-state="{{ route('debriefs.state', $held['session'], false) }}"
    data-step="{{ $held['session']->step }}" aria-label="{{ __('debrief.held.title') }}">
    <x-notices />
    <p class="small">
        <b data-joined>{{ trans_choice('debrief.held.joined', $held['joined'], ['count' => $held['joined']]) }}</b>
        · {{ __('debrief.held.code') }} <b>{{ $held['session']->code }}</b>
        · <a href="{{ route('debriefs.room', $held['session']) }}" target="room">{{ __('debrief.held.room') }}</a>
        · <a href="{{ route('debriefs.minutes', $held['session']) }}">{{ __('debrief.held.minutes') }}</a>
    </p>
    @if($held['barred'])
        <p class="notice small">{{ __('debrief.held.barred', ['who' => implode(', ', $held['barred'])]) }}</p>
    @endif
    <form method="post" action="{{ route('debriefs.show', $held['session']) }}" class="steps">
        @csrf
        <input type="hidden" name="case" value="{{ $held['shown']->id }}">
        <input type="hidden" name="topic" value="{{ $held['shown']->topic }}" data-held-topic>
        @foreach($held['steps'] as $step)
            <button name="reveal" value="{{ $step['value'] }}" @class(['step', 'done' => $step['done']])
                aria-pressed="{{ $step['done'] ? 'true' : 'false' }}">{{ $step['name'] }}</button>
        @endforeach
    </form>
    @if($held['vote'])
        <div class="vote-now">
            <p><b>{{ $held['vote']['asks'] }}</b> <span class="quiet small">{{ $held['vote']['stage'] }}:
                {{ trans_choice('debrief.votes.voted', $held['vote']['voted'], [
                    'count' => $held['vote']['voted'], 'of' => $held['joined'],
                ]) }}</span></p>
            @include('debrief.vote.results', ['vote' => $held['vote']])
            @if($held['vote']['question']->stage->next())
                <form method="post" action="{{ route('debriefs.on', [$held['session'], $held['vote']['question']->id]) }}">
                    @csrf
                    <input type="hidden" name="from" value="{{ $held['vote']['question']->stage->value }}">
                    <button class="act second">{{
                        __('debrief.votes.next.'.$held['vote']['question']->stage->value) }}</button>
                </form>
            @endif
        </div>
    @endif
    @unless($held['vote']['open'] ?? false)
        <form method="post" action="{{ route('debriefs.ask', $held['session']) }}" class="ask-room">
            @csrf
            <input type="hidden" name="case" value="{{ $held['shown']->id }}">
            <input type="hidden" name="fault" value="{{ $held['shown']->topic }}" data-held-topic>
            <span class="small quiet">{{ __('debrief.votes.ask') }}</span>
            @foreach($held['kinds'] as $kind)
                <button name="kind" value="{{ $kind }}"
                    class="plain small">{{ __("debrief.votes.kinds.$kind") }}</button>
            @endforeach
        </form>
    @endunless
    <details class="below">
        <summary>{{ __('debrief.held.notes') }}</summary>
        <form method="post" action="{{ route('debriefs.case', [$held['session'], $held['shown']->id]) }}">
            @csrf
            <textarea class="textarea" name="notes" rows="3" maxlength="4000"
                aria-label="{{ __('debrief.held.notes') }}">{{ $held['shown']->notes }}</textarea>
            <button class="act second">{{ __('debrief.held.keep') }}</button>
        </form>
    </details>
    <details class="below" @if($errors->any()) open @endif>
        <summary>{{ __('debrief.decisions.take') }}</summary>
        @include('debrief.decide', [
            'session' => $held['session'], 'case' => $held['shown']->id, 'people' => $held['people'],
        ])
    </details>
    @foreach($held['decisions'] as $d)
        <p class="small">{{ __('debrief.decisions.line', [
            'what' => $d->what, 'who' => $d->owner->name,
            'due' => $d->due_on?->format('j M Y') ?? __('debrief.decisions.undated'),
        ]) }}</p>
    @endforeach
    <h2>{{ __('debrief.held.order') }}</h2>
    <ol class="cases">
        @foreach($held['cases'] as $c)
            <li @if($c['here']) aria-current="true" @endif>
                <form method="post" action="{{ route('debriefs.show', $held['session']) }}" class="in-line">
                    @csrf
                    <input type="hidden" name="case" value="{{ $c['case']->id }}">
                    <button class="link"
                        @if($loop->index > 0 && $held['cases'][$loop->index - 1]['here']) data-turn="next-case" @endif
                        @if(! $loop->last && $held['cases'][$loop->index + 1]['here']) data-turn="previous-case" @endif>{{
                        $c['name'] }}</button>
                </form>
                @unless($loop->first)
                    <form method="post" class="in-line"
                        action="{{ route('debriefs.case', [$held['session'], $c['case']->id]) }}">
                        @csrf
                        <input type="hidden" name="position" value="{{ $loop->index }}">
                        <button class="plain small"
                            aria-label="{{ __('debrief.held.up', ['case' => $c['name']]) }}">↑</button>
                    </form>
                @endunless
            </li>
        @endforeach
    </ol>
    <form method="post" action="{{ route('debriefs.end', $held['session']) }}" class="below">
        @csrf
        <button class="act second">{{ __('debrief.held.end') }}</button>
    </form>
</section>
