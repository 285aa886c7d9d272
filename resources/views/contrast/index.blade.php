<x-layout :title="__('practice.contrast.page')">
    <h1>{{ __('practice.contrast.title') }}</h1>
    <p class="words">{{ __('practice.contrast.says') }}</p>
    <form method="post" action="{{ route('contrast.ask') }}" class="contrast-form">
        @csrf
        <fieldset class="kinds">
            <legend class="label">{{ __('practice.contrast.what') }}</legend>
            @foreach($kinds as $kind => $word)
                <label><input type="radio" name="kind" value="{{ $kind }}"
                    @checked(\App\Http\Old::text('kind', 'fault') === $kind)> {{ $word }}</label>
            @endforeach
        </fieldset>
        <div class="fields">
            <div class="of-fault">
                <x-choose name="fault" :label="__('practice.fault')" :of="$faults" />
            </div>
            <div class="of-other">
                <x-choose name="other" :label="__('practice.contrast.other')" :of="$faults"
                    :none="__('practice.contrast.choose')" />
            </div>
            <div class="of-mishap">
                <x-choose name="mishap" :label="__('practice.contrast.mishap')" :of="$mishaps"
                    :none="__('practice.contrast.choose')" />
            </div>
            <x-choose name="device" :label="__('practice.contrast.device')" :of="$devices" value="dual-plate" />
            <x-choose name="hand" :label="__('practice.contrast.hand')" :of="$hands" />
            <x-choose name="lens" :label="__('practice.contrast.lens')" :of="$lenses" :value="$lens" />
        </div>
        <p class="ways"><button class="act">{{ __('practice.contrast.make') }}</button></p>
    </form>
    <h2>{{ __('practice.contrast.sets') }}</h2>
    @if($sets)
        <ul class="contrast-sets">
            @foreach($sets as $set)
                <li>
                    <a href="{{ $set['url'] }}">{{ $set['title'] }}</a>
                    <span class="small quiet">{{ $set['about'] }}
                        @if($set['making'])
                            · {{ __('practice.contrast.making') }}
                        @endif
                    </span>
                </li>
            @endforeach
        </ul>
    @else
        <p class="quiet">{{ __('practice.contrast.none') }}</p>
    @endif
</x-layout>
