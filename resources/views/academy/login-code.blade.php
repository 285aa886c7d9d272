<x-layout :title="__('login.code.page')">
    <div class="login">
        <x-ribbon :width="400" />
        <h1>{{ __('login.code.page') }}</h1>
        <form method="post" action="{{ route('login.check') }}">
            @csrf
            <x-field name="code" :label="__('login.code.label')" autocomplete="one-time-code" inputmode="text"
                required autofocus :hint="__('login.code.hint')" />
            <button class="act">{{ __('login.code.act') }}</button>
        </form>
        <p class="small below"><a href="{{ route('login') }}">{{ __('login.code.back') }}</a></p>
    </div>
</x-layout>
