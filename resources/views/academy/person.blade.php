<x-layout :title="$person->name">
    <p class="small"><a href="{{ route('people') }}">{{ __('people.page') }}</a></p>
    <h1>{{ $person->name }}</h1>
    <p class="quiet about">{{ __('people.about', ['place' => $place, 'state' => $state, 'since' => $since]) }}</p>
    @if(session('link'))
        <div class="notice" role="status">
            <p>{{ __('people.link-once') }}</p>
            <p><input class="input link" readonly value="{{ session('link') }}"
                aria-label="{{ __('people.link') }}" data-select></p>
        </div>
    @endif
    <form method="post" action="{{ route('people.update', $person) }}" class="person-form">
        @csrf
        @method('put')
        <input type="hidden" name="seen" value="{{ $seen }}">
        <div class="in-columns">
            <x-field name="name" :label="__('people.name')" :value="$person->name" required maxlength="120" />
            <x-choose name="role" :label="__('people.role')" :of="__('people.roles')"
                :value="$person->role->value" />
            <x-choose name="golfer" :label="__('people.golfer')" :of="$golfers" :value="$person->golfer_id"
                :none="__('people.no-golfer')" />
        </div>
        <p class="small quiet">{{ __('people.golfer-says') }}</p>
        @include('academy.place', ['onPanel' => $person->on_panel])
        <button class="act">{{ __('people.keep') }}</button>
    </form>
    @if($sits)
        <h2>{{ __('people.sits-in') }}</h2>
        <ul>
            @foreach($sits as $s)
                <li><a href="{{ $s['url'] }}">{{ $s['name'] }}</a> {{ $s['says'] }}</li>
            @endforeach
        </ul>
    @endif
    <h2>{{ __('people.way-in') }}</h2>
    <p class="words">{{ __('people.address-is', ['email' => $person->email]) }}
        {{ __($person->hasFactor() ? 'people.factor-is' : 'people.factor-none') }}</p>
    <div class="ways">
        @if($person->state->value === 'active')
            <form method="post" action="{{ route('people.reset', $person) }}">
                @csrf
                <button class="act second">{{ __('people.reset') }}</button>
            </form>
            @if($person->hasFactor() && ! $self)
                <form method="post" action="{{ route('people.factor.drop', $person) }}">
                    @csrf
                    @method('delete')
                    <button class="act second">{{ __('people.drop-factor') }}</button>
                </form>
            @endif
        @elseif($person->state->value === 'disabled')
            <form method="post" action="{{ route('people.enable', $person) }}">
                @csrf
                <button class="act">{{ __('people.enable') }}</button>
            </form>
        @else
            <form method="post" action="{{ route('people.again', $person) }}">
                @csrf
                <button class="act second">{{ __('people.again.'.$person->state->value) }}</button>
            </form>
            @if($person->state->value === 'invited')
                <form method="post" action="{{ route('people.withdraw', $person) }}">
                    @csrf
                    @method('delete')
                    <button class="act second">{{ __('people.withdraw') }}</button>
                </form>
            @endif
        @endif
    </div>
    @if(in_array($person->state->value, ['active', 'disabled'], true) && ! $self)
        <h2>{{ __('people.end.title') }}</h2>
        <p class="words">{{ __('people.end.says') }}</p>
        <form method="post" action="{{ route('people.end', $person) }}">
            @csrf
            @foreach(['wait', 'out'] as $way)
                <label class="line">
                    <input type="radio" name="open_cases" value="{{ $way }}"
                        @checked(old('open_cases', 'wait') === $way)>
                    {{ __('people.end.open-cases.'.$way) }}
                </label>
            @endforeach
            <div class="ways below">
                @if($person->state->value === 'active')
                    <button class="act second" name="to" value="disabled">{{ __('people.end.disabled') }}</button>
                @endif
                <button class="act second" name="to" value="left">{{ __('people.end.left') }}</button>
            </div>
        </form>
    @endif
</x-layout>
