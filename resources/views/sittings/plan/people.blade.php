<div class="in-columns">
    <div>
        <label class="label" for="name">{{ __('plan.name') }}</label>
        <input class="input" id="name" name="name" value="{{ \App\Http\Old::text('name') }}" maxlength="120" required>
    </div>
    @foreach(['kind' => 'kinds', 'show' => 'shows'] as $field => $words)
        <div>
            <label class="label" for="{{ $field }}">{{ __('plan.'.$field) }}</label>
            <div class="select is-fullwidth">
                <select id="{{ $field }}" name="{{ $field }}">
                    @foreach(__('plan.'.$words) as $value => $word)
                        <option value="{{ $value }}" @selected(old($field) === $value)>{{ $word }}</option>
                    @endforeach
                </select>
            </div>
        </div>
    @endforeach
    <div>
        <label class="label" for="lens">{{ __('plan.lens') }}</label>
        <div class="select is-fullwidth">
            <select id="lens" name="lens">
                @foreach($lenses as $key => $name)
                    <option value="{{ $key }}" @selected(old('lens') === $key)>{{ $name }}</option>
                @endforeach
            </select>
        </div>
    </div>
</div>
<label class="line">
    {{ __('plan.due') }} <input type="date" name="due" value="{{ \App\Http\Old::text('due') }}">
</label>
<details class="group" data-of="panel" @if(old('kind') === 'panel') open @endif>
    <summary>{{ __('plan.rules.title') }}</summary>
    @foreach($rules as $rule => $usual)
        <label class="line">
            <input class="input tiny" type="number" name="{{ $rule }}" value="{{ \App\Http\Old::text($rule, $usual) }}">
            {{ __('plan.rules.'.$rule) }}
        </label>
    @endforeach
</details>
<label class="line">
    <input type="checkbox" name="reveals" value="1" @checked(old('reveals'))> {{ __('plan.reveals') }}
</label>
<fieldset>
    <legend class="label">{{ __('plan.members') }}</legend>
    @if($groups)
        <p class="in-line">
            <span class="small quiet">{{ __('plan.groups') }}</span>
            @foreach($groups as $group)
                <button type="button" class="act second" data-tick="{{ $group['of'] }}"
                    aria-pressed="false">{{ $group['word'] }}</button>
            @endforeach
        </p>
    @endif
    <div class="ticks">
        @foreach($people as $group)
            <p class="quiet small">{{ $group['word'] }}</p>
            @foreach($group['people'] as $p)
                <label>
                    <input type="checkbox" name="members[]" value="{{ $p['id'] }}" @checked($p['on'])> {{ $p['name'] }}
                </label>
            @endforeach
        @endforeach
    </div>
</fieldset>
