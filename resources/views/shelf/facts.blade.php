<x-layout :title="__('facts.page')">
    <p class="small"><a href="{{ route('bench', $recording) }}">{{ $name }}</a></p>
    <h1>{{ __('facts.title', ['name' => $name]) }}</h1>
    <p class="quiet about">{{ __('facts.says') }}</p>
    <form method="post" action="{{ route('facts.update', $recording) }}" class="person-form">
        @csrf
        @method('put')
        <input type="hidden" name="version" value="{{ \App\Http\Old::text('version', $recording->facts_version) }}">
        <h2>{{ __('facts.swing') }}</h2>
        <div class="in-columns">
            <x-field name="club" :label="__('facts.club')" :value="$recording->club" required maxlength="40" />
            <x-field name="loft_deg" :label="__('facts.loft')" :value="$recording->loft_deg" inputmode="decimal" />
            <x-choose name="swing" :label="__('facts.kind')" :of="$kinds" :value="$recording->swing" />
            <x-choose name="size" :label="__('facts.size')" :of="$sizes" :value="$recording->size"
                :none="__('facts.unknown')" />
            <x-field name="effort_pct" :label="__('facts.effort')" :value="$recording->effort_pct"
                inputmode="numeric" />
            <x-choose name="has_ball" :label="__('facts.has-ball')" :of="$balls"
                :value="$recording->has_ball === null ? '' : (int) $recording->has_ball"
                :none="__('facts.unknown')" />
            <x-field name="shape" :label="__('facts.shape')" :value="$recording->shape" maxlength="40"
                list="shapes" />
            <x-field name="series" :label="__('facts.series')" :value="$recording->series" maxlength="60" />
            <x-field name="place" :label="__('facts.place')" :value="$recording->place" inputmode="numeric" />
        </div>
        <label class="line">
            <input type="hidden" name="is_cold" value="0">
            <input type="checkbox" name="is_cold" value="1"
                @checked(old('is_cold', $recording->is_cold ? '1' : '0') === '1')> {{ __('facts.cold') }}
        </label>
        <h2>{{ __('facts.ball') }}</h2>
        <p class="small quiet">{{ __('facts.ball-says') }}</p>
        @include('shelf.flight-fields', ['flight' => $flight])
        @if($cameras)
            <h2>{{ __('facts.cameras') }}</h2>
            <p class="small quiet">{{ __('facts.cameras-say') }}</p>
            @foreach($cameras as $c)
                <div class="in-columns">
                    <x-field :name="'cameras['.$c['view'].'][height]'" :id="$c['view'].'-height'"
                        :label="__('facts.camera-height', ['view' => $c['name']])" :value="$c['height']"
                        inputmode="decimal" />
                    <x-field :name="'cameras['.$c['view'].'][tilt]'" :id="$c['view'].'-tilt'"
                        :label="__('facts.camera-tilt', ['view' => $c['name']])" :value="$c['tilt']"
                        inputmode="decimal" />
                </div>
            @endforeach
        @endif
        <button class="act">{{ __('facts.keep') }}</button>
    </form>
</x-layout>
