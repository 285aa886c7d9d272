<x-layout :title="__('login.forgotten-page')">
    <div class="login">
        <x-ribbon :width="400" />
        <h1>{{ __('login.forgotten-page') }}</h1>
        <p>{{ __('login.forgotten-says') }}</p>
        <form method="post" action="{{ route('forgotten.send') }}">
            @csrf
            <x-field name="email" :label="__('login.address')" type="email" autocomplete="username" required
                autofocus />
            <button class="act">{{ __('login.forgotten-act') }}</button>
        </form>
        <p class="small below"><a href="{{ route('login') }}">{{ __('login.page') }}</a></p>
    </div>
</x-layout>
