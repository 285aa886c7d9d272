{{-- What the ball did, in fields. --}}
<div class="in-columns">
    <x-field name="start_deg" :label="__('facts.start')" :value="$flight['start_deg'] ?? ''" inputmode="decimal" />
    <x-field name="curve_deg" :label="__('facts.curve')" :value="$flight['curve_deg'] ?? ''" inputmode="decimal" />
    <x-choose name="height" :label="__('facts.height')" :of="$heights" :value="$flight['height'] ?? ''"
        :none="__('facts.unknown')" />
    <x-choose name="strike" :label="__('facts.strike')" :of="$strikes" :value="$flight['strike'] ?? ''"
        :none="__('facts.unknown')" />
    <x-field name="low_point_cm" :label="__('facts.low-point')" :value="$flight['low_point_cm'] ?? ''"
        inputmode="decimal" />
    <x-field name="path_deg" :label="__('facts.path')" :value="$flight['path_deg'] ?? ''" inputmode="decimal" />
    <x-field name="attack_deg" :label="__('facts.attack')" :value="$flight['attack_deg'] ?? ''" inputmode="decimal" />
    <x-choose name="turf" :label="__('facts.turf')" :of="$turfs" :value="$flight['turf'] ?? ''"
        :none="__('facts.unknown')" />
</div>
