<x-layout :title="__('academy.begin.page')">
    <div class="login">
        <x-ribbon :width="400" />
        <h1>{{ __('academy.begin.page') }}</h1>
        <p>{{ __('academy.begin.says') }}</p>
        <form method="post" action="{{ route('begin.store', $token) }}">
            @csrf
            <x-field name="academy" :label="__('academy.name')" required autofocus maxlength="120" />
            <x-choose name="zone" :label="__('academy.zone')" :of="array_combine($zones, $zones)" :value="$zone" />
            <x-field name="name" :label="__('academy.begin.own-name')" autocomplete="name" required maxlength="120" />
            <x-field name="email" :label="__('academy.begin.own-address')" type="email" autocomplete="username"
                required />
            <x-new-password />
            <button class="act">{{ __('academy.begin.act') }}</button>
        </form>
        <p class="small quiet below">{{ __('academy.begin.house') }}</p>
        <pre class="command">php artisan archive:import house.zip</pre>
    </div>
</x-layout>
