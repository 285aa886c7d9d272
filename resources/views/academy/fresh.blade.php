<x-layout :title="__('login.fresh.page')">
    <div class="narrow">
        <h1>{{ __('login.fresh.page') }}</h1>
        <p class="words">{{ __('login.fresh.says') }}</p>
        <form method="post" action="{{ route('password.confirm.store') }}">
            @csrf
            <input type="hidden" name="username" value="{{ $email }}" autocomplete="username">
            <x-field name="password" :label="__('login.password')" type="password" autocomplete="current-password"
                required autofocus />
            @if($factor)
                <x-field name="code" :label="__('login.code.label')" :hint="__('login.code.hint')" required
                    autocomplete="one-time-code" inputmode="text" />
            @endif
            <button class="act">{{ __('login.code.act') }}</button>
        </form>
    </div>
</x-layout>
