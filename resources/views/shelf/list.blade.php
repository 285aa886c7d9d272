<x-layout title="Shelf">
    <div style="display: flex; align-items: baseline; gap: 1rem; flex-wrap: wrap">
        <h1>{{ $recordings->count() === $total ? $total.' recordings' : $recordings->count().' of '.$total.' recordings' }}</h1>
        <a href="#add">add one</a>
        @if($ended)<span class="quiet small">{{ $ended === 1 ? 'One more is' : $ended.' more are' }} out of sight: the consent has ended.</span>@endif
    </div>
    <form method="get" style="display: flex; gap: 0.6rem; flex-wrap: wrap; margin: 0.9rem 0 0.4rem; align-items: end">
        @foreach(['club' => ['Club', $clubs->mapWithKeys(fn ($c) => [$c => $c])], 'hand' => ['Hand', ['right' => 'right', 'left' => 'left']], 'device' => ['Device', ['mat' => 'pressure mat', 'plate' => 'force plate', 'dual-plate' => 'two force plates']], 'fault' => ['Measured fault', collect($codebook->faults)->map->name]] as $name => [$label, $options])
            <div><label class="small quiet" for="f-{{ $name }}">{{ $label }}</label><br><div class="select"><select id="f-{{ $name }}" name="{{ $name }}"><option value="">any</option>@foreach($options as $value => $text)<option value="{{ $value }}" @selected(($filter[$name] ?? '') === (string) $value)>{{ $text }}</option>@endforeach</select></div></div>
        @endforeach
        <button class="act second">Filter</button> @if($filter)<a href="{{ route('shelf') }}" style="padding: 0.6rem">all</a>@endif
    </form>
    @if($recordings->isEmpty())
        <p style="margin: 1.4rem 0">{{ $total ? 'No recording fits this filter.' : 'Recordings stand here. Add the first from a file below.' }}</p>
    @else
        <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows">
            <tr><th>Lead share, address to finish</th><th>Golfer</th><th>Club</th><th>Device</th><th>Film</th><th>Measured faults</th><th>Quality</th><th>Consent</th></tr>
            @foreach($recordings as $r)
                <tr>
                    <td><a href="{{ route('bench', $r) }}" aria-label="Bench: {{ $r->golfer->pseudonym }}, {{ $r->club }}"><svg viewBox="0 0 120 36" width="120" height="36" aria-hidden="true"><line x1="0" x2="120" y1="18" y2="18" stroke="var(--rule)"/><path d="{{ $shapes[$r->id] }}" fill="none" stroke="var(--lead)" stroke-width="2"/></svg></a></td>
                    <td><a href="{{ route('bench', $r) }}">{{ $r->golfer->pseudonym }}</a> <span class="quiet small">{{ implode(' · ', array_filter([$r->golfer->handedness === 'left' ? 'left-handed' : '', $r->golfer->limits, $r->series, $r->is_cold ? 'cold' : ''])) }}</span></td>
                    <td>{{ $r->club }}</td>
                    <td>{{ $r->deviceClass()->label() }}</td>
                    <td class="quiet">{{ match (count($r->filmedViews())) { 0 => $r->motion_count ? 'figure' : 'none', 1 => 'one view', default => 'two views' } }}</td>
                    <td class="small">{{ collect($r->measured?->supported($codebook->lens->key))->map(fn ($k) => $codebook->faults[$k]->name ?? $k)->join(', ') ?: '–' }}</td>
                    <td class="small">@if(! $r->measured)<span class="quiet">being measured</span>@elseif($notes = $r->measured->notes())<span class="grade contested" title="@foreach($notes as $n)@said($n->finding->remark) @endforeach">{{ count($notes) }} finding{{ count($notes) > 1 ? 's' : '' }}</span>@else good @endif</td>
                    <td class="small">until {{ $r->golfer->consents->max('expires_on')->format('M Y') }}</td>
                </tr>
            @endforeach
        </table></div>
    @endif
    <h2 id="add">Add a recording from a file</h2>
    <form method="post" action="{{ route('imports.store') }}" enctype="multipart/form-data" style="display: grid; grid-template-columns: repeat(auto-fit, minmax(240px, 1fr)); gap: 0.9rem 1.4rem; max-width: 62rem">
        @csrf
        <div><label class="label" for="golfer">Golfer, with a valid consent</label><div class="select is-fullwidth"><select id="golfer" name="golfer" required>@foreach($golfers as $g)<option value="{{ $g->id }}" @selected(old('golfer') == $g->id)>{{ $g->pseudonym }} ({{ $g->handedness }}-handed)</option>@endforeach</select></div></div>
        <div><label class="label" for="trace">Recording: CSV, bundle or C3D</label><input class="input" style="padding: 0.4rem" id="trace" name="trace" type="file" accept=".csv,.json,.c3d,text/csv,application/json" required></div>
        <div><label class="label" for="meta">Side-car, JSON <span class="quiet">(if there is one)</span></label><input class="input" style="padding: 0.4rem" id="meta" name="meta" type="file" accept=".json,application/json"></div>
        <div style="align-self: end"><button class="act">Look at it</button></div>
    </form>
    <p class="small quiet" style="margin-top: 0.8rem; max-width: 62rem">You see what was understood – columns, units, the trace, its quality, the stations – before anything is stored. Any CSV with a header will do: columns are guessed by their names and can be set right. Files may also be dropped on the fields.</p>
</x-layout>
