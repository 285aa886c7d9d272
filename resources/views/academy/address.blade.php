<x-layout :title="__('login.change.page')">
    <div class="login">
        <x-ribbon :width="400" />
        <h1>{{ __('login.change.page') }}</h1>
        <p>{{ __("login.change.$purpose", ['email' => $email]) }}</p>
        <form method="post" action="{{ route('address.confirm', $token) }}">
            @csrf
            <button class="act">{{ __('login.change.act') }}</button>
        </form>
    </div>
</x-layout>
