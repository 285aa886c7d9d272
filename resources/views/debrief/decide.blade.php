{{-- A decision to be written down. Expects $session, $people by id; may have $case, a debrief case's id. --}}
<form method="post" action="{{ route('debriefs.decide', $session) }}" class="decide">
    @csrf
    @isset($case)
        <input type="hidden" name="case" value="{{ $case }}">
    @endisset
    <label class="small quiet" for="what">{{ __('debrief.decisions.what') }}</label>
    <input class="input" id="what" name="what" minlength="3" maxlength="400" required value="{{ old('what') }}">
    <label class="small quiet">{{ __('debrief.decisions.lies') }}
        <select name="lies">
            @foreach(__('panel.following.in') as $lies => $word)
                <option value="{{ $lies }}" @selected(old('lies') === $lies)>{{ $word }}</option>
            @endforeach
        </select>
    </label>
    <label class="small quiet">{{ __('debrief.decisions.owner') }}
        <select name="owner">
            @foreach($people as $id => $name)
                <option value="{{ $id }}" @selected((int) old('owner', auth()->id()) === $id)>{{ $name }}</option>
            @endforeach
        </select>
    </label>
    <label class="small quiet">{{ __('debrief.decisions.due') }}
        <input type="date" name="due" value="{{ old('due') }}">
    </label>
    <button class="act second">{{ __('debrief.decisions.keep') }}</button>
</form>
