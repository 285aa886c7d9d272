@php($v = fn (string $name, mixed $else = '') => old($name, $s[$name] ?? $else))
@php($in = $preview['in'] ?? null)
<x-layout title="Import">
    <h1>{{ $import->file_name }}</h1>
    <p class="quiet">{{ ['csv' => 'Trace CSV', 'bundle' => 'recording bundle', 'c3d' => 'C3D'][$import->format] }} for {{ $import->golfer->pseudonym }}, {{ $import->golfer->handedness }}-handed{{ $import->meta_name ? ', with '.$import->meta_name : '' }}. Nothing is on the Shelf yet.</p>
    <x-notices />
    <div class="import">
        <section aria-label="What it would become">
            @if($problem)<p class="notice refused" role="alert">{{ $problem }}</p>@endif
            @if($preview)
                <figure class="why-chart preview"><figcaption>{{ ucfirst($preview['label']) }}, {{ number_format($preview['seconds'][0], 1) }} to {{ number_format($preview['seconds'][1], 1) }} s</figcaption>
                    <svg viewBox="0 0 640 200" role="img" aria-label="The trace as understood, with the stations">
                        <defs><pattern id="hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><line x1="0" y1="0" x2="0" y2="8" stroke="var(--warn)" stroke-width="2"/></pattern></defs>
                        @foreach($preview['spans'] as [$a, $b])<rect x="{{ $a }}" y="6" width="{{ max(2, $b - $a) }}" height="168" fill="url(#hatch)" opacity="0.6"/>@endforeach
                        @php($last = -99)
                        @foreach($preview['notches'] as $code => $x)<line class="notch" x1="{{ $x }}" x2="{{ $x }}" y1="6" y2="174"/>@if($x - $last > 16)<text x="{{ $x }}" y="190" text-anchor="middle">{{ $code }}</text>@php($last = $x)@endif @endforeach
                        @if(str_starts_with($preview['label'], 'lead share'))@foreach([10 => 100, 90 => 50, 170 => 0] as $y => $tick)<line class="notch" x1="40" x2="632" y1="{{ $y }}" y2="{{ $y }}"/><text x="34" y="{{ $y + 4 }}" text-anchor="end">{{ $tick }}</text>@endforeach @endif
                        <path class="curve" d="{{ $preview['path'] }}"/>
                    </svg></figure>
                <dl class="facts">
                    <dt>device</dt><dd>{{ $in->trace->device->label() }}, {{ number_format($in->trace->rateHz, 0) }} samples a second, {{ number_format($in->trace->duration(), 2) }} s</dd>
                    <dt>body points</dt><dd>{{ collect($in->views->motions)->map(fn ($m) => $m->view->label().' ('.count($m->points).' points)')->join(', ') ?: 'none' }}</dd>
                    <dt>mass</dt><dd>{{ $in->trace->massKg ? number_format($in->trace->massKg, 1).' kg' : 'not known' }}</dd>
                    <dt>stance</dt><dd>{{ $in->trace->stance ? number_format($in->trace->stance->widthMm() / 10, 0).' cm between the feet' : 'not known' }}</dd>
                    <dt>stations</dt><dd>@forelse($preview['stations'] as $code => $t)<span @if(isset($preview['doubts'][$code])) class="doubt" title="{{ $preview['doubts'][$code] }}" @endif>{{ $code }} {{ number_format($t->t, 2) }}</span> @empty none were found @endforelse</dd>
                    <dt>can be measured</dt><dd>{{ $preview['measured'] }} of {{ $preview['of'] }} measures</dd>
                    <dt>quality</dt><dd>@forelse($preview['notes'] as $n)<p>@said($n->finding->remark) <span class="quiet">{{ ['nulled' => 'Would leave out', 'widened' => 'Would make less certain', 'unaffected' => 'Changes nothing'][$n->finding->effect] }}{{ $n->measures ? ' '.count($n->measures).' measures' : '' }}.</span></p>@empty nothing wrong was found @endforelse</dd>
                    @foreach($in->notes as $note)<dt>assumed</dt><dd>{{ $note }}</dd>@endforeach
                </dl>
                @if($preview['doubts'])<p class="small quiet">Stations in amber were proposed; they can be set right on the Bench.</p>@endif
                <form method="post" action="{{ route('imports.finish', $import) }}" style="display: inline-block; margin-top: 1rem">@csrf<button class="act">Put it on the Shelf</button></form>
            @endif
            <form method="post" action="{{ route('imports.drop', $import) }}" style="display: inline">@csrf @method('delete')<button class="act second">Leave it</button></form>
        </section>
        <form method="post" action="{{ route('imports.update', $import) }}" class="settings" aria-label="Set right what was not understood">
            @csrf @method('put')
            <h2 class="first">The swing</h2>
            <div class="pair"><div><label class="label" for="club">Club</label><input class="input" id="club" name="club" maxlength="40" value="{{ $v('club', $in?->facts->club) }}"></div>
                <div><label class="label" for="swing">Kind</label><div class="select is-fullwidth"><select id="swing" name="swing">@foreach(['full', 'part', 'rehearsal', 'drill'] as $k)<option @selected($v('swing', $in?->facts->swing ?? 'full') === $k)>{{ $k }}</option>@endforeach</select></div></div></div>
            <div class="pair"><div><label class="label" for="series">Series <span class="quiet">(swings of one session)</span></label><input class="input" id="series" name="series" maxlength="60" value="{{ $v('series') }}"></div>
                <div><label class="label" for="mass_kg">Mass, kg</label><input class="input" id="mass_kg" name="mass_kg" inputmode="decimal" value="{{ $v('mass_kg') }}" placeholder="{{ $in?->trace->massKg ? number_format($in->trace->massKg, 1) : '' }}"></div></div>
            <p><label><input type="checkbox" name="is_cold" value="1" @checked($v('is_cold'))> one of the cold first swings</label></p>
            <fieldset><legend class="label">Feet at address, mm from the middle: toward the target, toward the toes</legend>
                <div class="pair four">@foreach(['lead_x' => 'lead, along', 'lead_y' => 'lead, to toes', 'trail_x' => 'trail, along', 'trail_y' => 'trail, to toes'] as $n => $l)<div><label class="small quiet" for="{{ $n }}">{{ $l }}</label><input class="input" id="{{ $n }}" name="{{ $n }}" inputmode="decimal" value="{{ $v($n) }}" placeholder="{{ $in?->trace->stance ? number_format(str_starts_with($n, 'lead') ? (str_ends_with($n, 'x') ? $in->trace->stance->lead->xMm : $in->trace->stance->lead->yMm) : (str_ends_with($n, 'x') ? $in->trace->stance->trail->xMm : $in->trace->stance->trail->yMm), 0, '.', '') : '' }}"></div>@endforeach</div></fieldset>
            @if($import->format === 'c3d')
                <label class="label" for="target">The laboratory’s axis that points to the target</label><div class="select"><select id="target" name="target">@foreach(['+x', '-x', '+y', '-y'] as $k)<option @selected($v('target', '+x') === $k)>{{ $k }}</option>@endforeach</select></div>
            @endif
            @if($import->format === 'csv' && $header)
                <h2>The columns</h2>
                @if($remembered)<p class="small quiet">Mapped as the last file with these columns.</p>@endif
                <div class="pair"><div><label class="label" for="device">Device</label><div class="select is-fullwidth"><select id="device" name="device">@foreach(\Core\Trace\DeviceClass::cases() as $d)<option value="{{ $d->value }}" @selected($v('device', $map?->device->value) === $d->value)>{{ $d->label() }}</option>@endforeach</select></div></div>
                    <div><label class="label" for="device_name">Its name</label><input class="input" id="device_name" name="device_name" maxlength="120" value="{{ $v('device_name', $in?->facts->deviceName) }}"></div></div>
                <table class="rows"><tr><th>Channel</th><th>Column of the file</th><th>in</th></tr>
                    @foreach($channels as $channel)
                        @php($c = $map?->channels[$channel] ?? null)
                        <tr><td><label for="c-{{ $channel }}">{{ $channel }}</label></td>
                            <td><div class="select is-small is-fullwidth"><select id="c-{{ $channel }}" name="columns[{{ $channel }}]"><option value="">–</option>@foreach($header as $h)<option value="{{ $h }}" @selected(($c['column'] ?? null) === $h)>{{ $h }}</option>@endforeach</select></div></td>
                            <td><div class="select is-small"><select name="units[{{ $channel }}]" aria-label="unit of {{ $channel }}">@foreach(\App\Shelf\Pages\ImportPage::units($channel) as $u)<option @selected(($c['unit'] ?? null) === $u)>{{ $u }}</option>@endforeach</select></div></td></tr>
                    @endforeach
                </table>
            @endif
            <button class="act second" style="margin-top: 0.8rem">Read it again</button>
        </form>
    </div>
</x-layout>
