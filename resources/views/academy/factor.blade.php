<x-layout :title="__('account.factor.title')">
    <p class="small"><a href="{{ route('account') }}">{{ __('account.page') }}</a></p>
    <h1>{{ __('account.factor.title') }}</h1>
    @if($codes)
        <div class="notice" role="status">
            <p>{{ __('account.factor.codes-once') }}</p>
            <ul class="codes">
                @foreach($codes as $code)
                    <li>{{ $code }}</li>
                @endforeach
            </ul>
        </div>
        <p class="below"><a class="act" href="{{ route('today') }}">{{ __('account.factor.go-on') }}</a></p>
    @endif
    <p class="words">{{ __('account.factor.since', ['date' => $since]) }}
        {{ trans_choice('account.factor.left', $left, ['count' => $left]) }}</p>
    <form method="post" action="{{ route('account.factor.codes') }}" class="narrow">
        @csrf
        <x-field name="current" :label="__('account.password.current')" type="password"
            autocomplete="current-password" required />
        <div class="ways">
            <button class="act second" name="_method" value="put">{{ __('account.factor.renew') }}</button>
            <button class="act second" name="_method" value="delete">{{ __('account.factor.drop') }}</button>
        </div>
    </form>
</x-layout>
