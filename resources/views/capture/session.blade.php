{{-- The device at work: shares to be read from afar, both feet, and the last ten seconds. --}}
<div class="head">
    <h1 data-device>{{ $session->device->name }}</h1>
    <span class="state" data-state role="status">…</span>
    <button type="button" class="act second" data-arm-switch aria-pressed="{{ $session->armed ? 'true' : 'false' }}">
        {{ __($session->armed ? 'capture.script.armed' : 'capture.script.not-armed') }}
    </button>
</div>
<div class="shares">
    @foreach(['lead', 'trail'] as $side)
        <p><b class="{{ $side }}" data-{{ $side }}>–</b><span>{{ __('capture.'.$side) }}</span></p>
    @endforeach
    <svg class="foot-map" viewBox="0 0 260 168" role="img" aria-label="{{ __('capture.feet') }}" data-feet>
        <path class="sole lead" d="" />
        <path class="sole trail" d="" />
        <circle class="net" cx="130" cy="84" r="7" />
    </svg>
</div>
<figure class="why-chart strip">
    <figcaption>{{ __('capture.strip') }}</figcaption>
    <svg viewBox="0 0 800 200" preserveAspectRatio="none" role="img" aria-label="{{ __('capture.strip') }}">
        @foreach([50, 100, 150] as $y)
            <line class="notch" x1="0" x2="800" y1="{{ $y }}" y2="{{ $y }}" />
        @endforeach
        <path class="curve" data-strip d="" />
    </svg>
</figure>
<div data-warnings aria-live="polite"></div>
