{{-- The list of keys, which "?" opens, and what the person has changed of it. --}}
<dialog data-help-box aria-label="{{ __('keys.title') }}">
    <div class="keys-head">
        <h1>{{ __('keys.title') }}</h1>
        <p class="small quiet">{{ __('keys.says') }} <span data-keys-say role="status"></span></p>
    </div>
    <div class="keys" data-keys></div>
    <p class="ways">
        <button class="act second" type="button" data-do="shut">{{ __('keys.back') }}</button>
        <button class="act second" type="button" data-keys-reset>{{ __('keys.reset') }}</button>
    </p>
</dialog>
<script type="application/json" id="keys">@json((object) (auth()->user()->keys ?? []))</script>
