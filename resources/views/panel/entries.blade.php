<x-layout title="Panel">
    @if($grades === null)<h1>A part of the key waits for you</h1><p class="notice">Swings that you have still to read blind are not shown, nor any count that would tell of them.</p>
    @elseif($key === null)<h1>The key is being made</h1>
    @else<h1>The panel agrees on {{ $grades->sum() - ($grades['contested'] ?? 0) }} of {{ $grades->sum() }} questions, and the measurement bears out {{ $grades['verified'] ?? 0 }} of them</h1>@endif
    <p class="quiet" style="margin: 0.3rem 0 0.8rem">{{ $round->name }} · {{ $members }} members, each alone and blind · a label needs {{ round(100 * $majority) }} % of those who could tell, {{ $able }} of them at least @if($key) · key version {{ $key->number }}@if($key->frozen_at), frozen {{ $key->frozen_at->timezone(config('academy.zone'))->format('j M Y') }}@endif @endif</p>
    @if($erased)<p class="notice small">Inputs erased {{ $erased->timezone(config('academy.zone'))->format('j F Y') }}: what was worked out before stands, and is not worked out again.</p>@endif
    @if($grades)<div class="tiles">
        @foreach(\Core\Consensus\Grade::cases() as $grade)<div><b>{{ $grades[$grade->value] ?? 0 }}</b><x-grade :grade="$grade->value" /><div class="small quiet" style="max-width: 13rem">{{ $grade->says() }}</div></div>@endforeach
    </div>@endif
    @if($unsettled->isNotEmpty())
        <h2>Where a person must decide</h2>
        @foreach($unsettled as $e)
            <div id="e{{ $e->id }}" style="border-bottom: 1px solid var(--rule); padding: 0.6rem 0">
                <p><x-grade :grade="$e->grade" /> <b>{{ ucfirst($codebook->faults[$e->fault]->name) }}</b> in <a href="{{ $mayRule ? route('bench', $e->recording) : '#' }}">{{ $e->recording->golfer->pseudonym }}, {{ $e->recording->club }}</a>
                    · <span class="call present">{{ $e->present }} present</span> &nbsp; <span class="call absent">{{ $e->absent }} absent</span> &nbsp; <span class="call cannot-tell">{{ $e->cannot_tell }} cannot tell</span></p>
                <p class="small quiet">@said($e->measured()->why, ['fault' => $codebook->faults[$e->fault]->name])</p>
                @if($e->ruling)
                    <p>Ruled <b>{{ $e->ruling === 'none' ? 'left out of scoring' : $e->ruling }}</b> on {{ $e->ruled_at->timezone(config('academy.zone'))->format('j M Y') }}: “{{ $e->ruling_reason }}”</p>
                @elseif($mayRule && $e->grade === 'conflict')
                    <form method="post" action="{{ route('panel.rule', $e) }}" style="display: flex; gap: 0.6rem; flex-wrap: wrap; margin-top: 0.4rem; align-items: end">
                        @csrf
                        <div><label class="small quiet" for="r{{ $e->id }}">Ruling</label><br><div class="select"><select id="r{{ $e->id }}" name="ruling"><option value="none">leave out of scoring</option><option value="present">present, as the panel says</option><option value="absent">absent</option></select></div></div>
                        <div style="flex: 1; min-width: 18rem"><label class="small quiet" for="w{{ $e->id }}">The reason, for those who must defend it</label><input class="input" id="w{{ $e->id }}" name="reason" minlength="10" maxlength="2000" required></div>
                        <button class="act second">Rule</button>
                    </form>
                @endif
            </div>
        @endforeach
        @if($key?->frozen_at && $mayRule)<p class="small quiet" style="margin-top: 0.5rem">This version is frozen by a round. A ruling makes a new version; rounds already opened keep the one they were opened with.</p>@endif
    @endif
    <h2>Every case and fault</h2>
    <p class="small quiet">How many of {{ $members }} said present. <span class="call present">label present</span> &nbsp; <span class="call absent">label absent</span> &nbsp; <span class="grade contested">no label or conflict</span> &nbsp; a dashed edge: the measurement cannot bear it out.</p>
    <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows heat">
        <tr><th>Recording</th>@foreach($codebook->faults as $f)<th title="{{ $f->lookFor }}">{{ $f->name }}</th>@endforeach</tr>
        @foreach($cases as $entries)
            @php($rec = $entries->first()->recording)
            <tr><td>@if($mayRule)<a href="{{ route('bench', $rec) }}">{{ $rec->golfer->pseudonym }}, {{ $rec->club }}</a>@else{{ $rec->golfer->pseudonym }}, {{ $rec->club }}@endif</td>
                @foreach($codebook->keys() as $k)
                    @php($e = $entries[$k] ?? null)
                    <td>@if($e)<span @class(['grade', str_replace(' ', '-', $e->grade)]) title="{{ $e->grade }}: @said($e->measured()->why, ['fault' => $codebook->faults[$e->fault]->name])" @style(['background: var(--accent); color: var(--accent-ink)' => $e->label === 'present' && $e->grade !== 'conflict'])>{{ $e->present }}<span class="small"> / {{ $e->present + $e->absent }}</span></span>@endif</td>
                @endforeach
            </tr>
        @endforeach
    </table></div>
</x-layout>
