{{-- What belongs here, and how it comes here. --}}
<h1>{{ __('capture.nothing.title') }}</h1>
<ol class="ways-in">
    <li>{{ __('capture.nothing.register') }}</li>
    <li>{{ __('capture.nothing.bridge') }}</li>
    <li>{{ __('capture.nothing.swing') }}</li>
</ol>
<p class="quiet">{{ __('capture.nothing.try') }}</p>
<pre class="command">php artisan device:simulate --url={{ url('/') }} --token=TOKEN --device=mat --fault=hang-back:2</pre>
<svg class="foot-map waiting" viewBox="0 0 260 168" aria-hidden="true">
    <path class="sole lead"
        d="M183 129C171 125 174 99 186 84S188 57 196 51S221 36 224 40S229 72 221 78S214 92 206 101S196 133 183 129Z" />
    <path class="sole trail"
        d="M63 130C50 130 49 104 54 86S45 59 51 50S69 31 74 34S92 62 86 71S85 88 82 100S76 130 63 130Z" />
</svg>
