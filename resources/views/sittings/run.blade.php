{{-- What a head coach changes of a round while it is held. --}}
<details class="group" @if($errors->any()) open @endif>
    <summary>{{ __('round.run.title') }}</summary>
    @if($run['days'])
        <form method="post" action="{{ route('rounds.due', $round) }}" class="in-line">
            @csrf
            <label class="small">{{ __('round.run.due') }}
                <input type="date" name="due" value="{{ $run['due'] }}">
            </label>
            <button class="act second">{{ __('round.run.set') }}</button>
            <span class="small quiet">{{ __('round.run.late') }}</span>
        </form>
    @endif
    @if($run['waits'])
        <form method="post" action="{{ route('rounds.remind', $round) }}" class="in-line">
            @csrf
            <button class="act second">{{ trans_choice('round.run.remind', $run['waits'], ['count' => $run['waits']]) }}</button>
            <span class="small quiet">{{ __('round.run.reminded') }}</span>
        </form>
    @endif
    @if($run['people'])
        <form method="post" action="{{ route('rounds.seat', $round) }}" class="in-line">
            @csrf
            <label class="small">{{ __('round.run.seat') }}
                <select name="who">
                    @foreach($run['people'] as $id => $name)
                        <option value="{{ $id }}">{{ $name }}</option>
                    @endforeach
                </select>
            </label>
            <label class="small">{{ __('round.run.instead') }}
                <select name="instead">
                    <option value="">{{ __('round.run.nobody') }}</option>
                    @foreach($run['seated'] as $id => $name)
                        <option value="{{ $id }}">{{ $name }}</option>
                    @endforeach
                </select>
            </label>
            <button class="act second">{{ __('round.run.sit') }}</button>
            <span class="small quiet">{{ __('round.run.whole') }}</span>
        </form>
    @endif
    <form method="post" action="{{ route('rounds.withdraw', $round) }}" class="in-line">
        @csrf
        <label class="small">{{ __('round.run.case') }}
            <select name="case">
                @foreach($run['cases'] as $id => $name)
                    <option value="{{ $id }}">{{ $name }}</option>
                @endforeach
            </select>
        </label>
        <label class="small">{{ __('round.run.reason') }}
            <input class="input" name="reason" minlength="3" maxlength="400" required value="{{ old('reason') }}">
        </label>
        <button class="act second">{{ __('round.run.out') }}</button>
    </form>
</details>
