<x-layout :title="__('search.page')">
    <h1>{{ __('search.page') }}</h1>
    <form method="get" action="{{ route('search') }}" class="search-form" role="search">
        <label class="only-heard" for="q">{{ __('search.field') }}</label>
        <input class="input" id="q" name="q" type="search" maxlength="80" value="{{ $asked }}"
            placeholder="{{ __('search.field') }}">
        <button class="act second">{{ __('search.act') }}</button>
    </form>
    <p class="quiet small">{{ $says }}</p>
    @foreach($groups as $group)
        <h2>{{ $group['name'] }}</h2>
        <ul class="hits">
            @foreach($group['hits'] as $hit)
                <li><a href="{{ $hit['url'] }}">{{ $hit['name'] }}</a> <span class="quiet small">{{ $hit['note'] }}</span></li>
            @endforeach
        </ul>
    @endforeach
</x-layout>
