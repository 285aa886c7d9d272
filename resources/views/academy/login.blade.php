<x-layout title="Log in">
    <div style="max-width: 27rem; margin: 6vh auto 0">
        <x-ribbon :width="400" label="" />
        <h1 style="margin: 1.4rem 0 0.3rem">Log in</h1>
        <p class="quiet" style="margin-bottom: 1.2rem">{{ config('academy.name') }}</p>
        <form method="post" action="{{ route('login') }}">
            @csrf
            <div class="field"><label class="label" for="email">Address</label><input class="input" id="email" name="email" type="email" autocomplete="username" value="{{ old('email') }}" required autofocus></div>
            <div class="field"><label class="label" for="password">Password</label><input class="input" id="password" name="password" type="password" autocomplete="current-password" required></div>
            <button class="act" style="margin-top: 0.6rem">Log in</button>
        </form>
    </div>
    <script src="/js/login.js"></script>
</x-layout>
