{{-- What somebody who joined is asked now. --}}
@if($over)
    <h1>{{ __('debrief.room.over') }}</h1>
@elseif($why)
    <h1>{{ $why }}</h1>
@elseif($vote === null)
    <h1>{{ __('debrief.votes.wait') }}</h1>
@else
    <h1>{{ $vote['asks'] }}</h1>
    <p class="quiet">{{ $vote['stage'] }}</p>
    <form method="post" action="{{ route('debriefs.cast', [$session, $vote['question']->id]) }}" class="answers">
        @csrf
        @foreach($vote['options'] as $o)
            <button name="answer" value="{{ $o['key'] }}" class="act big second"
                aria-pressed="{{ $o['own'] ? 'true' : 'false' }}">{{ $o['words'] }}</button>
        @endforeach
    </form>
@endif
