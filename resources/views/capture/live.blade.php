<x-layout title="Capture" wide>
    <div class="capture" @if($session) data-capture data-live="{{ route('capture.live', $session) }}" data-arm="{{ route('capture.arm', $session) }}" @endif>
        <section class="live" aria-label="What the device sends">
            @if(! $session)
                <h1>No device has sent anything yet</h1>
                <p style="max-width: 44rem; margin: 0.8rem 0">Register a device on this page, give its token to the bridge that reads it, and what it sends appears here. To try it without one, run the simulated bench device:</p>
                <pre class="command">php artisan device:simulate --url={{ url('/') }} --token=TOKEN --device=mat --fault=hang-back:2</pre>
            @else
                <div class="head"><h1 data-device>{{ $session->device->name }}</h1><span class="state" data-state role="status">…</span><button type="button" class="act second" data-arm-switch aria-pressed="{{ $session->armed ? 'true' : 'false' }}">{{ $session->armed ? 'Armed: catches swings' : 'Not armed' }}</button></div>
                <div class="shares"><p><b class="lead" data-lead>–</b><span>lead, %</span></p><p><b class="trail" data-trail>–</b><span>trail, %</span></p>
                    <svg class="foot-map" viewBox="0 0 260 150" role="img" aria-label="Both feet from above with the centre of pressure" data-feet><ellipse class="lead" cx="195" cy="70" rx="26" ry="58"/><ellipse class="trail" cx="65" cy="70" rx="26" ry="58"/><circle class="net" cx="130" cy="70" r="7"/></svg></div>
                <figure class="why-chart strip"><figcaption>Lead share, the last ten seconds</figcaption><svg viewBox="0 0 800 200" preserveAspectRatio="none" role="img" aria-label="Lead share over the last ten seconds"><line class="notch" x1="0" x2="800" y1="100" y2="100"/><path class="curve" data-strip d=""/></svg></figure>
                <div data-warnings aria-live="polite"></div>
            @endif
        </section>
        <aside class="side" aria-label="Caught swings and devices">
            <x-notices />
            @if(session('token'))<p class="notice">Token: <code>{{ session('token') }}</code></p>@endif
            <h2 class="first">Caught swings</h2>
            <div data-swings>@if($session)<p class="quiet" data-none>None yet. A swing is caught by itself about a second after it.</p>@else<p class="quiet">Swings stand here until they are put on the Shelf or left.</p>@endif</div>
            <template data-swing-form><div class="caught"><p><b data-at></b> <span class="quiet" data-length></span> <a data-link hidden>on the Shelf</a></p>
                <form method="post" data-keep>@csrf
                    <div class="select is-small"><select name="golfer" aria-label="Golfer" required>@foreach($golfers as $g)<option value="{{ $g->id }}">{{ $g->pseudonym }}</option>@endforeach</select></div>
                    <input class="input is-small" name="club" aria-label="Club" placeholder="club" maxlength="40" required> <input class="input is-small" name="series" aria-label="Series" placeholder="series" maxlength="60">
                    <button class="act">Put it on the Shelf</button></form>
                <form method="post" data-leave>@csrf @method('delete')<button class="link">leave it</button></form></div></template>
            <h2>Devices</h2>
            @forelse($devices as $d)<form method="post" action="{{ route('capture.revoke', $d) }}">@csrf @method('delete')<p>{{ $d->name }} <button class="link">take its token away</button></p></form>@empty<p class="quiet small">No device may send yet.</p>@endforelse
            <form method="post" action="{{ route('capture.register') }}" style="display: flex; gap: 0.5rem; margin-top: 0.6rem">@csrf<input class="input" name="name" aria-label="Name of the device" placeholder="bench mat" maxlength="120" required><button class="act second">Register</button></form>
            <p class="small quiet" style="margin-top: 0.6rem">A token is shown once. The interface is described in docs/ingest.md.</p>
        </aside>
    </div>
    <script type="module" src="/js/capture/page.js"></script>
</x-layout>
