<x-layout :title="__('account.factor.title')">
    @unless($owes)
        <p class="small"><a href="{{ route('account') }}">{{ __('account.page') }}</a></p>
    @endunless
    <h1>{{ __('account.factor.set-up-title') }}</h1>
    @if($owes)
        <p class="notice" role="status">{{ __('account.factor.owes') }}</p>
    @endif
    <ol class="ways-in">
        <li>{{ __('account.factor.steps.program') }}</li>
        <li>{{ __('account.factor.steps.read') }}</li>
        <li>{{ __('account.factor.steps.code') }}</li>
    </ol>
    <div class="factor">
        <div class="qr" data-qr="{{ $address }}" role="img" aria-label="{{ __('account.factor.picture') }}"></div>
        <div>
            <p class="label">{{ __('account.factor.secret') }}</p>
            <p class="secret">{{ $secret }}</p>
            <form method="post" action="{{ route('account.factor.keep') }}">
                @csrf
                <x-field name="code" :label="__('account.factor.code')" autocomplete="one-time-code"
                    inputmode="numeric" required autofocus maxlength="8" />
                <button class="act">{{ __('account.factor.keep') }}</button>
            </form>
        </div>
    </div>
    <script type="module" src="@part('js/academy/qr.js')"></script>
</x-layout>
