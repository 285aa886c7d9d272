<!DOCTYPE html>
<html lang="en" data-theme="light">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="release" content="{{ $release }}">
    <title>{{ $title }} – {{ __('places.product') }}</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="@part('vendor/bulma/bulma.min.css')">
    @foreach($styles as $style)
        <link rel="stylesheet" href="@part("css/$style.css")">
    @endforeach
    <script src="@part('js/theme.js')"></script>
    <script type="module" src="@part('js/search.js')"></script>
    {{ $head ?? '' }}
</head>
<body>
    <a class="skip" href="#main">{{ __('places.skip') }}</a>
    <header class="top">
        <a class="mark" href="{{ route('today') }}"><x-mark /><span>{{ __('places.product') }}</span></a>
        @if($places)
            <button class="plain fold" type="button" data-fold aria-expanded="false"
                aria-controls="places">{{ __('search.menu') }}</button>
            <nav id="places" aria-label="{{ __('places.nav') }}">
                @foreach($places as $place)
                    <a href="{{ $place['url'] }}" @if($place['here']) aria-current="page"
                        @endif>{{ $place['word'] }}</a>
                @endforeach
            </nav>
            <div class="who">
                <x-search-box />
                <button class="plain" type="button" data-theme-switch aria-label="{{ __('places.theme') }}">◐</button>
                @if($news)
                    <a class="news small" href="{{ route('notices') }}"
                        aria-label="{{ trans_choice('told.new', $news) }}">{{ $news }}<span
                            class="word">&nbsp;{{ trans_choice('told.word', $news) }}</span></a>
                @endif
                <a class="quiet small" href="{{ route('account') }}">{{ $name }}</a>
                <form method="post" action="{{ route('logout') }}">
                    @csrf
                    <button class="plain small">{{ __('places.log-out') }}</button>
                </form>
            </div>
        @endif
    </header>
    @if($within)
        <nav class="within" aria-label="{{ __('places.within', ['place' => $within['word']]) }}">
            @foreach($within['pages'] as $page)
                <a href="{{ $page['url'] }}" @if($page['here']) aria-current="page" @endif>{{ $page['word'] }}</a>
            @endforeach
        </nav>
    @endif
    <main id="main" @class(['page' => ! $wide])>
        @unless($wide)
            <x-notices />
        @endunless
        {{ $slot }}
    </main>
</body>
</html>
