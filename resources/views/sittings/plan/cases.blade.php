<fieldset>
    <legend class="label">{{ __('plan.recordings') }}</legend>
    <label class="find">
        {{ __('plan.find') }}
        <input class="input" type="search" maxlength="80" data-find="{{ route('rounds.choices', [], false) }}">
    </label>
    <div data-choices>@include('sittings.plan.choices', $choices)</div>
    @if($again)
        <p class="label small">{{ __('plan.shown-again') }}</p>
        @foreach(['1', '0'] as $waits)
            <label class="line">
                <input type="radio" name="waits" value="{{ $waits }}" @checked(old('waits', '1') === $waits)>
                {{ __('plan.waits.'.$waits) }}
            </label>
        @endforeach
        @foreach($again as $r)
            <label class="line">
                <input type="checkbox" name="repeats[]" value="{{ $r['id'] }}" checked> {{ $r['name'] }}
            </label>
        @endforeach
    @endif
    <details class="group" @if(old('keep') || old('from')) open @endif>
        <summary>{{ __('plan.kept.title') }}</summary>
        <p class="small quiet">{{ __('plan.kept.says') }}</p>
        <label class="line">
            <input class="input tiny" type="number" name="keep" min="0" max="50"
                value="{{ \App\Http\Old::text('keep', '0') }}"> {{ __('plan.kept.draw') }}
        </label>
        @if($kept)
            <label class="line">
                {{ __('plan.kept.from') }}
                <select name="from">
                    <option value="">–</option>
                    @foreach($kept as $id => $name)
                        <option value="{{ $id }}" @selected(old('from') === $id)>{{ $name }}</option>
                    @endforeach
                </select>
            </label>
        @endif
    </details>
</fieldset>
