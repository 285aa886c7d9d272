{{-- Looking for something from anywhere: opened by its button or by "/". --}}
<a class="plain search-open" href="{{ route('search') }}" data-search-open>{{ __('search.open') }} <kbd>/</kbd></a>
<dialog class="search-box" data-search aria-label="{{ __('search.page') }}">
    <form method="get" action="{{ route('search') }}" role="search">
        <label class="only-heard" for="search-q">{{ __('search.field') }}</label>
        <input class="input" id="search-q" name="q" type="search" maxlength="80" autocomplete="off"
            placeholder="{{ __('search.field') }}" aria-controls="search-hits">
    </form>
    <p class="quiet small" role="status" data-search-says data-no-answer="{{ __('search.script.no-answer') }}">{{
        __('search.ask') }}</p>
    <div id="search-hits" data-search-hits aria-label="{{ __('search.results') }}"></div>
</dialog>
