<x-layout :title="__('capture.page')" wide>
    <div class="capture" @if($session) data-capture data-live="{{ route('capture.live', $session) }}"
        data-arm="{{ route('capture.arm', $session) }}" @endif>
        <section class="live" aria-label="{{ __('capture.sends') }}">
            @if($session)
                @include('capture.session')
            @else
                @include('capture.nothing')
            @endif
        </section>
        <aside class="side" aria-label="{{ __('capture.side') }}">
            <x-notices />
            @if(session('token'))
                <p class="notice">{{ __('capture.token') }} <code>{{ session('token') }}</code></p>
            @endif
            <h2 class="first">{{ __('capture.caught') }}</h2>
            <div data-swings>
                @if($session)
                    <p class="quiet" data-none>{{ __('capture.none-yet') }}</p>
                @else
                    <p class="quiet">{{ __('capture.none') }}</p>
                @endif
            </div>
            <template data-swing-form>@include('capture.caught')</template>
            <h2>{{ __('capture.devices') }}</h2>
            @forelse($devices as $d)
                <form method="post" action="{{ route('capture.revoke', $d) }}">
                    @csrf
                    @method('delete')
                    <p>{{ $d->name }} <button class="link">{{ __('capture.revoke') }}</button></p>
                </form>
                <form method="post" action="{{ route('capture.renew', $d) }}">
                    @csrf
                    <p class="small @if(! $d->endsSoon()) quiet @endif">{{ implode(', ', array_filter([
                        $d->class ? \App\Words\Term::device($d->class) : '',
                        __($d->token_expires_at->isPast() ? 'capture.ended' : 'capture.ends',
                            ['day' => $d->token_expires_at->format('j F Y')]),
                    ])) }} <button class="link">{{ __('capture.renew') }}</button></p>
                </form>
                <details class="off-by" @if($errors->any() && (int) old('device') === $d->id) open @endif>
                    <summary class="small">{{ __('capture.off-by.summary') }}{{ $d->constant_errors === null ? '' : ', '
                        .__('capture.off-by.is', ['source' => $d->constant_errors['source']]) }}</summary>
                    <p class="small quiet">{{ __('capture.off-by.why') }}</p>
                    <form method="post" action="{{ route('capture.check', $d) }}">
                        @csrf
                        @method('put')
                        <input type="hidden" name="device" value="{{ $d->id }}">
                        @foreach($limits as $name => [$least, $most])
                            <label class="label small">{{ __("capture.off-by.$name") }}
                                <input class="input" type="number" step="any" min="{{ $least }}"
                                    max="{{ $most }}" name="{{ $name }}"
                                    value="{{ (int) old('device') === $d->id ? old($name)
                                        : ($d->constant_errors[$name] ?? '') }}"></label>
                        @endforeach
                        <label class="label small">{{ __('capture.off-by.source') }}
                            <input class="input" name="source" maxlength="200"
                                value="{{ (int) old('device') === $d->id ? old('source')
                                    : ($d->constant_errors['source'] ?? '') }}"></label>
                        <button class="act second small">{{ __('capture.off-by.keep') }}</button>
                    </form>
                </details>
            @empty
                <p class="quiet small">{{ __('capture.no-device') }}</p>
            @endforelse
            <form method="post" action="{{ route('capture.register') }}" class="register">
                @csrf
                <input class="input" name="name" aria-label="{{ __('capture.name') }}"
                    placeholder="{{ __('capture.bench-mat') }}" maxlength="120" required>
                <div class="select">
                    <select name="class" aria-label="{{ __('capture.kind') }}">
                        <option value="">{{ __('capture.any-kind') }}</option>
                        @foreach($classes as $kind)
                            <option value="{{ $kind->value }}">{{ \App\Words\Term::device($kind) }}</option>
                        @endforeach
                    </select>
                </div>
                <button class="act second">{{ __('capture.register') }}</button>
            </form>
            <p class="small quiet below">{{ __('capture.once') }}</p>
        </aside>
    </div>
    <x-words :of="['capture.script']" />
    <script type="module" src="@part('js/capture/page.js')"></script>
</x-layout>
