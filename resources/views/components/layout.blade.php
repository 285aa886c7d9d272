@props(['title', 'wide' => false])
<!DOCTYPE html>
<html lang="en" data-theme="light">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="release" content="{{ \App\Http\Release::current() }}">
    <title>{{ $title }} – Verified Consensus</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/vendor/bulma/bulma.min.css">
    <link rel="stylesheet" href="/css/app.css">
    <script src="/js/theme.js"></script>
    {{ $head ?? '' }}
</head>
<body>
    <a class="skip" href="#main">Skip to the page</a>
    <header class="top">
        <a class="mark" href="{{ route('today') }}"><x-mark /><span>Verified Consensus</span></a>
        @auth
            <nav aria-label="Places">
                @php($here = request()->route()?->getName() ?? '')
                <a href="{{ route('today') }}" @if($here === 'today') aria-current="page" @endif>Today</a>
                @can('run-academy')
                    <a href="{{ route('shelf') }}" @if(str_starts_with($here, 'shelf') || str_starts_with($here, 'bench')) aria-current="page" @endif>Shelf</a>
                    <a href="{{ route('capture') }}" @if($here === 'capture') aria-current="page" @endif>Capture</a>
                    <a href="{{ route('rounds') }}" @if(str_starts_with($here, 'rounds')) aria-current="page" @endif>Rounds</a>
                @endcan
                @if(auth()->user()->role !== \Core\Sight\Role::Instructor)
                    <a href="{{ route('panel.index') }}" @if(str_starts_with($here, 'panel')) aria-current="page" @endif>Panel</a>
                @endif
                @if(auth()->user()->role !== \Core\Sight\Role::Panel)
                    <a href="{{ route('agreement.index') }}" @if(str_starts_with($here, 'agreement')) aria-current="page" @endif>Agreement</a>
                @endif
                @can('run-academy')
                    <a href="{{ route('debrief.index') }}" @if(str_starts_with($here, 'debrief')) aria-current="page" @endif>Debrief</a>
                @endcan
                <a href="{{ route('codebook') }}" @if($here === 'codebook') aria-current="page" @endif>Codebook</a>
                @can('run-academy')
                    <a href="{{ route('record') }}" @if($here === 'record') aria-current="page" @endif>Record</a>
                @endcan
            </nav>
            <div class="who">
                <button class="plain" type="button" data-theme-switch aria-label="Light or dark">◐</button>
                <span class="quiet small">{{ auth()->user()->name }}</span>
                <form method="post" action="{{ route('logout') }}">@csrf<button class="plain small">Log out</button></form>
            </div>
        @endauth
    </header>
    <main id="main" @class(['page' => ! $wide])>
        @unless($wide)<x-notices />@endunless
        {{ $slot }}
    </main>
</body>
</html>
