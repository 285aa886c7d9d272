<!DOCTYPE html>
<html lang="en" data-theme="light">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ __('debrief.room.title') }} – {{ __('places.product') }}</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="@part('vendor/bulma/bulma.min.css')">
    @foreach(['base', 'head', 'pages', 'stage', 'bench', 'ribbon', 'person', 'calls', 'debrief', 'room'] as $style)
        <link rel="stylesheet" href="@part("css/$style.css")">
    @endforeach
    <script src="@part('js/theme.js')"></script>
    <x-stage-head script="room" :fetch="$evidence && $case ? [$evidence] : []" />
</head>
<body class="room">
    <main class="bench room" data-room data-evidence="{{ $case ? $evidence : '' }}"
        data-side="{{ route('debriefs.room.side', $session, false) }}"
        data-state="{{ route('debriefs.state', $session, false) }}" data-step="{{ $session->step }}"
        data-case="{{ $session->current_case_id }}">
        <section class="stage" aria-label="{{ __('debrief.swing') }}">
            @if($case)
                @include('bench.stage', ['film' => true, 'trace' => true, 'locked' => true])
            @endif
        </section>
        <aside class="side" data-side-box aria-live="polite">
            @include('debrief.room.side')
        </aside>
        <aside class="come" aria-label="{{ __('debrief.room.come') }}">
            <div data-qr="{{ route('join', $session->code) }}" class="qr" role="img"
                aria-label="{{ __('debrief.room.qr') }}"></div>
            <p>{{ __('debrief.room.come') }} <b class="code">{{ substr($session->code, 0, 3) }} {{
                substr($session->code, 3) }}</b><br><span class="quiet">{{ parse_url(route('join'), PHP_URL_HOST)
                .(parse_url(route('join'), PHP_URL_PORT) ? ':'.parse_url(route('join'), PHP_URL_PORT) : '').'/join' }}</span></p>
        </aside>
        <x-words :of="['keys', 'stage.script']" />
    </main>
    <script type="module" src="@part('js/academy/qr.js')"></script>
    <script type="module" src="@part('js/debrief/room.js')"></script>
</body>
</html>
