<x-layout :title="__('erasure.page')">
    <p class="small"><a href="{{ route('academy') }}">{{ __('academy.page') }}</a></p>
    <h1>{{ __('erasure.page') }}</h1>
    <form method="post" action="{{ route('retention.rules') }}" class="person-form">
        @csrf
        @method('put')
        <div class="in-columns">
            <x-field name="consent_days" :label="__('erasure.consent-days')"
                :value="$academy->erase_after_consent_days" inputmode="numeric" :hint="__('erasure.days-hint')" />
            <x-field name="film_days" :label="__('erasure.film-days')" :value="$academy->erase_film_after_days"
                inputmode="numeric" :hint="__('erasure.days-hint')" />
        </div>
        <button class="act second">{{ __('erasure.keep-rules') }}</button>
    </form>
    <h2>{{ __('erasure.would-go') }}</h2>
    @if($swings === [] && $films === [])
        <p class="words">{{ __('erasure.nothing-would') }}</p>
    @else
        <p class="words">{{ __('erasure.dry') }}</p>
        <form method="post" action="{{ route('retention.keep') }}">
            @csrf
            <div class="ticks">
                @foreach($swings as $s)
                    <label><input type="checkbox" name="swings[]" value="{{ $s['id'] }}" checked>
                        {{ $s['name'] }} <span class="quiet small">{{ $s['day'] }}</span></label>
                @endforeach
                @foreach($films as $f)
                    <label><input type="checkbox" name="films[]" value="{{ $f['id'] }}" checked>
                        {{ $f['name'] }} <span class="quiet small">{{ $f['day'] }}</span></label>
                @endforeach
            </div>
            <button class="act">{{ __('erasure.do') }}</button>
        </form>
    @endif
    @if($receipts)
        <h2>{{ __('erasure.receipts') }}</h2>
        <ul>
            @foreach($receipts as $r)
                <li><a href="{{ $r['url'] }}">{{ $r['day'] }}</a> {{ $r['says'] }}</li>
            @endforeach
        </ul>
    @endif
</x-layout>
