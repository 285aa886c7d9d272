{{-- What is known of a golfer's body; the name is nobody's. --}}
<div class="in-columns">
    <x-field name="pseudonym" :label="__('golfers.pseudonym')" :value="$golfer?->pseudonym ?? ($suggested[0] ?? '')"
        required maxlength="60" autocomplete="off" :hint="__('golfers.pseudonym-hint')" />
    <x-choose name="handedness" :label="__('golfers.hand')" :of="__('golfers.hands')"
        :value="$golfer?->handedness ?? 'right'" />
    <x-choose name="level" :label="__('golfers.level')" :of="__('golfers.levels')" :none="__('golfers.no-level')"
        :value="$golfer?->level?->value" />
    <x-field name="height_cm" :label="__('golfers.height')" :value="$golfer?->height_cm" inputmode="numeric" />
    <x-field name="mass_kg" :label="__('golfers.mass')" :value="$golfer?->mass_kg" inputmode="decimal" />
    <x-field name="born_year" :label="__('golfers.born')" :value="$golfer?->born_year" inputmode="numeric" />
</div>
<label class="line">
    <input type="hidden" name="is_minor" value="0">
    <input type="checkbox" name="is_minor" value="1" @checked(old('is_minor', $golfer?->is_minor ? '1' : '0') === '1')>
    {{ __('golfers.is-minor') }}
</label>
