<h2 class="first">{{ __('import.swing') }}</h2>
<div class="pair">
    <div>
        <label class="label" for="club">{{ __('import.club') }}</label>
        <input class="input" id="club" name="club" maxlength="40" value="{{ $fields['club']['value'] }}">
    </div>
    <div>
        <label class="label" for="swing">{{ __('import.kind') }}</label>
        <div class="select is-fullwidth">
            <select id="swing" name="swing">
                @foreach(__('import.kinds') as $kind => $name)
                    <option value="{{ $kind }}" @selected($fields['swing']['value'] === $kind)>{{ $name }}</option>
                @endforeach
            </select>
        </div>
    </div>
</div>
<div class="pair">
    <div>
        <label class="label" for="series">{{ __('import.series') }}
            <span class="quiet">{{ __('import.series-hint') }}</span></label>
        <input class="input" id="series" name="series" maxlength="60" value="{{ $fields['series']['value'] }}">
    </div>
    <div>
        <label class="label" for="mass_kg">{{ __('import.mass-kg') }}</label>
        <input class="input" id="mass_kg" name="mass_kg" inputmode="decimal" value="{{ $fields['mass_kg']['value'] }}"
            placeholder="{{ $fields['mass_kg']['hint'] }}">
    </div>
</div>
<div class="pair">
    <x-field name="shape" :label="__('facts.shape')" :value="$fields['shape']['value']" maxlength="40" />
    <x-choose name="size" :label="__('facts.size')" :of="$sizes" :value="$fields['size']['value']"
        :none="__('facts.unknown')" />
</div>
<div class="pair">
    <x-choose name="has_ball" :label="__('facts.has-ball')" :of="$balls" :value="$fields['has_ball']['value']"
        :none="__('facts.unknown')" />
    <x-field name="effort_pct" :label="__('facts.effort')" :value="$fields['effort_pct']['value']"
        inputmode="numeric" />
</div>
<div class="pair">
    <x-field name="loft_deg" :label="__('facts.loft')" :value="$fields['loft_deg']['value']" inputmode="decimal" />
    <x-field name="place" :label="__('facts.place')" :value="$fields['place']['value']" inputmode="numeric" />
</div>
<p>
    <label>
        <input type="checkbox" name="is_cold" value="1" @checked($fields['is_cold']['value'])> {{ __('import.cold') }}
    </label>
</p>
<fieldset>
    <legend class="label">{{ __('import.feet') }}</legend>
    <div class="pair four">
        @foreach(__('import.feet-at') as $field => $name)
            <div>
                <label class="small quiet" for="{{ $field }}">{{ $name }}</label>
                <input class="input" id="{{ $field }}" name="{{ $field }}" inputmode="decimal"
                    value="{{ $fields[$field]['value'] }}" placeholder="{{ $fields[$field]['hint'] }}">
            </div>
        @endforeach
    </div>
</fieldset>
@if($import->format === 'c3d')
    <label class="label" for="target">{{ __('import.target') }}</label>
    <div class="select">
        <select id="target" name="target">
            @foreach(['+x', '-x', '+y', '-y'] as $axis)
                <option @selected($fields['target']['value'] === $axis)>{{ $axis }}</option>
            @endforeach
        </select>
    </div>
@endif
