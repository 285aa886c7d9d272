<x-layout :title="__('login.page')">
    <div class="login">
        <x-ribbon :width="400" />
        <h1>{{ __('login.page') }}</h1>
        <p class="quiet">{{ config('academy.name') }}</p>
        <form method="post" action="{{ route('login') }}">
            @csrf
            <div class="field">
                <label class="label" for="email">{{ __('login.address') }}</label>
                <input class="input" id="email" name="email" type="email" autocomplete="username"
                    value="{{ old('email') }}" required autofocus>
            </div>
            <div class="field">
                <label class="label" for="password">{{ __('login.password') }}</label>
                <input class="input" id="password" name="password" type="password" autocomplete="current-password"
                    required>
            </div>
            <button class="act">{{ __('login.act') }}</button>
        </form>
    </div>
    <script src="@part('js/login.js')"></script>
</x-layout>
