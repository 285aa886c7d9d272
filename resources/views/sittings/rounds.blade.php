<x-layout title="Rounds">
    <h1>Rounds</h1>
    @if($rounds->isEmpty())<p style="margin: 1rem 0">A round is a set of recordings that a group reads blind. Begin with a panel study: it makes the key.</p>@else
    <table class="rows" style="margin-top: 0.8rem">
        <tr><th>Round</th><th>Read by</th><th>State</th><th class="num">Cases</th><th class="num">Members</th><th>Handed in</th><th>Result</th></tr>
        @foreach($rounds as $round)
            <tr>
                <td><a href="{{ route('rounds.show', $round) }}"><b>{{ $round->name }}</b></a></td><td>{{ $round->isPanel() ? 'the panel' : 'instructors' }}</td><td>{{ $round->state->value }}</td>
                <td class="num">{{ $round->cases_count }}</td><td class="num">{{ $round->members_count }}</td>
                <td style="width: 26%"><div class="bar" role="img" aria-label="{{ $round->done_count }} of {{ $round->readings_count }}"><i style="width: {{ 100 * $round->done_count / max(1, $round->readings_count) }}%"></i></div></td>
                <td class="small">@if($round->state === \Core\Sight\SittingState::Published)<a href="{{ $round->isPanel() ? route('panel', $round) : route('agreement', $round) }}">{{ $round->isPanel() ? 'key' : 'figures' }}</a>@endif</td>
            </tr>
        @endforeach
    </table>@endif
    <h2 id="suggest">A set of cases from the Shelf</h2>
    <form method="get" action="{{ route('rounds') }}#suggest" class="suggest">
        <label>cases <input class="input" type="number" name="suggest" min="2" max="200" value="{{ $asked['suggest'] ?? 12 }}" style="width: 5rem"></label>
        <label>each fault present in <input class="input" type="number" name="share" min="5" max="95" value="{{ $asked['share'] ?? 40 }}" style="width: 5rem"> %</label>
        <label>to be shown again <input class="input" type="number" name="again" min="0" max="50" value="{{ $asked['again'] ?? 0 }}" style="width: 5rem"></label>
        <label>another draw <input class="input" type="number" name="seed" min="1" max="1000000" value="{{ $asked['seed'] ?? 1 }}" style="width: 6rem"></label>
        <button class="act">Suggest</button>
    </form>
    @if($refused)<p class="notice refused" role="alert">{{ ucfirst($refused) }}: only recordings that a key speaks of can be balanced.</p>@endif
    @if($suggested)
        @php($set = $suggested['set'])
        <p class="quiet small" style="margin: 0.5rem 0">{{ count($suggested['chosen']) }} of {{ $suggested['at_hand'] }} recordings that {{ $suggested['key'] }} speaks of. They are ticked below; nothing is kept until you keep the draft.</p>
        <div class="suggested">
            <table class="rows"><tr><th>Fault</th><th class="num">Present</th><th class="num">Absent</th><th class="num">Wanted present</th></tr>
                @foreach($set->faults as $fault => $b)<tr><td>{{ $names[$fault]->name }}</td><td class="num">{{ $b['present'] }}</td><td class="num">{{ $b['absent'] }}</td><td class="num">@if($b['present'] < $b['wanted'])<b>{{ $b['wanted'] }}</b>@else{{ $b['wanted'] }}@endif</td></tr>@endforeach
            </table>
            <div>
                <table class="rows"><tr><th>Spread</th><th>Value</th><th class="num">Chosen</th><th class="num">At hand</th></tr>
                    @foreach($set->traits as $trait => $values)@foreach($trait === 'difficulty' ? array_intersect_key(array_replace(array_flip(['easy', 'middling', 'hard']), $values), $values) : $values as $value => $n)<tr><td>{{ $loop->first ? $trait : '' }}</td><td>{{ $value }}</td><td class="num">{{ $n['chosen'] }}</td><td class="num">{{ $n['at_hand'] }}</td></tr>@endforeach @endforeach
                </table>
                <p class="small" style="margin-top: 0.6rem">@foreach($suggested['expected'] as $e)@if($loop->first)A 95 % interval of one fault’s AC1 is to be expected this wide: @endif<b>{{ number_format($e['width'], 2) }}</b> with {{ $e['raters'] }} raters who agree on {{ round(100 * $e['agreement']) }} %@if(! $loop->last); @else.@endif @endforeach Over 0.5 is too few cases to say.</p>
                @if($suggested['repeats'])<p class="small">To be shown again, unannounced: {{ collect($suggested['repeats'])->map(fn ($r) => $r->golfer->pseudonym.', '.$r->club)->join('; ') }}.</p>@endif
                @if($set->short)<p class="small"><b>The Shelf could not give:</b> {{ count($set->short) }} of what was wanted. More recordings of faults in bold would help most.</p>@endif
            </div>
        </div>
    @endif
    <h2>Plan a round</h2>
    <form method="post" action="{{ route('rounds.store') }}">
        @csrf
        <div style="display: grid; grid-template-columns: repeat(auto-fit, minmax(220px, 1fr)); gap: 0.9rem 1.4rem">
            <div><label class="label" for="name">Name</label><input class="input" id="name" name="name" value="{{ old('name') }}" maxlength="120" required></div>
            <div><label class="label" for="kind">Read by</label><div class="select is-fullwidth"><select id="kind" name="kind"><option value="round">instructors, scored against a key</option><option value="panel" @selected(old('kind') === 'panel')>the panel, to make a key</option></select></div></div>
            <div><label class="label" for="show">What they are shown</label><div class="select is-fullwidth"><select id="show" name="show"><option value="both">film and trace</option><option value="film">film only</option><option value="trace">trace only</option></select></div></div>
            <div><label class="label" for="lens">Lens</label><div class="select is-fullwidth"><select id="lens" name="lens">@foreach($lenses as $key => $name)<option value="{{ $key }}" @selected(old('lens') === $key)>{{ $name }}</option>@endforeach</select></div></div>
        </div>
        <label style="display: block; margin-top: 0.8rem"><input type="checkbox" name="reveals" value="1" @checked(old('reveals'))> A second look: once a case is handed in, it is read again with the ball's flight and the numbers; both readings are kept</label>
        <div class="plan-cases">
            <fieldset><legend class="label">Recordings</legend><div style="columns: 2; max-height: 15rem; overflow: auto; border: 1px solid var(--rule); padding: 0.6rem">
                @foreach($recordings as $r)<label style="display: block"><input type="checkbox" name="recordings[]" value="{{ $r->id }}" @checked(in_array((string) $r->id, old('recordings', array_map(strval(...), $suggested['chosen'] ?? [])), true))> {{ $r->golfer->pseudonym }}, {{ $r->club }} <span class="quiet small">{{ $r->deviceClass()->label() }}</span></label>@endforeach
            </div>
            @php($again = old('repeats', isset($suggested) ? array_map(static fn ($r) => (string) $r->id, $suggested['repeats']) : []))
            @if($again)<p class="label small" style="margin-top: 0.6rem">Shown again, unannounced, with ten other cases between at the least</p>
                <label style="display: block"><input type="radio" name="waits" value="1" @checked(old('waits', '1') === '1')> three weeks later, in a second part among new cases</label><label style="display: block"><input type="radio" name="waits" value="0" @checked(old('waits') === '0')> within the one sitting</label>
                @foreach($recordings->whereIn('id', $again) as $r)<label style="display: block"><input type="checkbox" name="repeats[]" value="{{ $r->id }}" checked> {{ $r->golfer->pseudonym }}, {{ $r->club }}</label>@endforeach
            @endif
            <details class="group" @if(old('series') || old('pairs.0.before')) open @endif><summary>Cases of several swings: a series, or before and after</summary>
                @forelse($series as $swings)<label style="display: block"><input type="checkbox" name="series[]" value="{{ $swings->pluck('id')->implode(',') }}" @checked(in_array($swings->pluck('id')->implode(','), (array) old('series', []), true))> {{ $swings[0]->golfer->pseudonym }}, {{ $swings[0]->series }} <span class="quiet small">{{ $swings->count() }} swings, {{ $swings[0]->deviceClass()->label() }}@if($swings->where('is_cold', true)->isNotEmpty()), {{ $swings->where('is_cold', true)->count() }} cold @endif</span></label>@empty<p class="quiet small">No series is held: three or more swings of one golfer brought in under one series' name.</p>@endforelse
                @foreach([0, 1, 2] as $i)<div class="two">
                    @foreach(['before', 'after'] as $which)<div><label class="small quiet" for="pair-{{ $i }}-{{ $which }}">{{ ['first', 'second', 'third'][$i] }} pair, {{ $which }}</label><select class="wide" id="pair-{{ $i }}-{{ $which }}" name="pairs[{{ $i }}][{{ $which }}]"><option value="">–</option>@foreach($recordings as $r)<option value="{{ $r->id }}" @selected(old("pairs.$i.$which") === (string) $r->id)>{{ $r->golfer->pseudonym }}, {{ $r->club }}, {{ $r->created_at->timezone(config('academy.zone'))->format('j M') }}@if($r->series) · {{ $r->series }}@endif</option>@endforeach</select></div>@endforeach
                </div>@endforeach
            </details></fieldset>
            <fieldset><legend class="label">Members</legend><div style="max-height: 15rem; overflow: auto; border: 1px solid var(--rule); padding: 0.6rem">
                @foreach(['panel' => 'panel', 'instructor' => 'instructors', 'head-coach' => 'head coaches, whose readings are kept out of blind figures'] as $role => $word)@php($list = $people[$role] ?? [])<p class="quiet small">{{ $word }}</p>@foreach($list as $p)<label style="display: block"><input type="checkbox" name="members[]" value="{{ $p->id }}" @checked(in_array((string) $p->id, old('members', []), true))> {{ $p->name }}</label>@endforeach @endforeach
            </div></fieldset>
        </div>
        <button class="act" style="margin-top: 1rem">Keep as a draft</button>
    </form>
</x-layout>
