<x-layout :title="__('login.page')">
    <div class="login">
        <x-ribbon :width="400" />
        <h1>{{ __('login.page') }}</h1>
        <p class="quiet">{{ $academy }}</p>
        <form method="post" action="{{ route('login') }}">
            @csrf
            <x-field name="email" :label="__('login.address')" type="email" autocomplete="username" required
                autofocus />
            <x-field name="password" :label="__('login.password')" type="password" autocomplete="current-password"
                required />
            <button class="act">{{ __('login.act') }}</button>
        </form>
        <p class="notice small" data-unsent data-one="{{ __('login.unsent-one') }}" data-many="{{ __('login.unsent') }}"
            hidden></p>
        <p class="small below"><a href="{{ route('forgotten') }}">{{ __('login.forgotten') }}</a></p>
    </div>
    <script src="@part('js/login.js')"></script>
</x-layout>
