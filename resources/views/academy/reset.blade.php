<x-layout :title="__('login.reset.page')">
    <div class="login">
        <x-ribbon :width="400" />
        <h1>{{ __('login.reset.page') }}</h1>
        <p>{{ __('login.reset.says') }}</p>
        <form method="post" action="{{ route('reset.store', $token) }}">
            @csrf
            <x-new-password />
            <button class="act">{{ __('login.reset.act') }}</button>
        </form>
    </div>
</x-layout>
