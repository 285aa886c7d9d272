<x-layout :title="__('academy.invited.page', ['academy' => $academy])">
    <div class="login">
        <x-ribbon :width="400" />
        <h1>{{ __('academy.invited.page', ['academy' => $academy]) }}</h1>
        <p>{{ __('academy.invited.says', ['email' => $person->email]) }}</p>
        <form method="post" action="{{ route('invited.accept', $token) }}">
            @csrf
            <input type="hidden" name="email" value="{{ $person->email }}" autocomplete="username">
            <x-field name="name" :label="__('academy.invited.name')" :value="$person->name" autocomplete="name"
                required maxlength="120" />
            <x-new-password />
            <button class="act">{{ __('academy.invited.act') }}</button>
        </form>
    </div>
</x-layout>
