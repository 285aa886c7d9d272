<x-layout title="Rounds">
    <h1>Rounds</h1>
    @if($rounds->isEmpty())<p style="margin: 1rem 0">A round is a set of recordings that a group reads blind. Begin with a panel study: it makes the key.</p>@else
    <table class="rows" style="margin-top: 0.8rem">
        <tr><th>Round</th><th>Read by</th><th>State</th><th class="num">Cases</th><th class="num">Members</th><th>Handed in</th><th></th></tr>
        @foreach($rounds as $round)
            <tr>
                <td><a href="{{ route('rounds.show', $round) }}"><b>{{ $round->name }}</b></a></td><td>{{ $round->isPanel() ? 'the panel' : 'instructors' }}</td><td>{{ $round->state }}</td>
                <td class="num">{{ $round->cases_count }}</td><td class="num">{{ $round->members_count }}</td>
                <td style="width: 26%"><div class="bar" role="img" aria-label="{{ $round->done_count }} of {{ $round->readings_count }}"><i style="width: {{ 100 * $round->done_count / max(1, $round->readings_count) }}%"></i></div></td>
                <td class="small">@if($round->state === 'published')<a href="{{ $round->isPanel() ? route('panel', $round) : route('agreement', $round) }}">{{ $round->isPanel() ? 'key' : 'figures' }}</a>@endif</td>
            </tr>
        @endforeach
    </table>@endif
    <h2>Plan a round</h2>
    <form method="post" action="{{ route('rounds.store') }}">
        @csrf
        <div style="display: grid; grid-template-columns: repeat(auto-fit, minmax(220px, 1fr)); gap: 0.9rem 1.4rem">
            <div><label class="label" for="name">Name</label><input class="input" id="name" name="name" value="{{ old('name') }}" maxlength="120" required></div>
            <div><label class="label" for="kind">Read by</label><div class="select is-fullwidth"><select id="kind" name="kind"><option value="staff">instructors, scored against a key</option><option value="panel" @selected(old('kind') === 'panel')>the panel, to make a key</option></select></div></div>
            <div><label class="label" for="show">What they are shown</label><div class="select is-fullwidth"><select id="show" name="show"><option value="both">film and trace</option><option value="film">film only</option><option value="trace">trace only</option></select></div></div>
            <div><label class="label" for="lens">Lens</label><div class="select is-fullwidth"><select id="lens" name="lens">@foreach($lenses as $key => $name)<option value="{{ $key }}" @selected(old('lens') === $key)>{{ $name }}</option>@endforeach</select></div></div>
        </div>
        <div style="display: grid; grid-template-columns: 2fr 1fr; gap: 1.4rem; margin-top: 1rem">
            <fieldset><legend class="label">Recordings</legend><div style="columns: 2; max-height: 15rem; overflow: auto; border: 1px solid var(--rule); padding: 0.6rem">
                @foreach($recordings as $r)<label style="display: block"><input type="checkbox" name="recordings[]" value="{{ $r->id }}" @checked(in_array((string) $r->id, old('recordings', []), true))> {{ $r->golfer->pseudonym }}, {{ $r->club }} <span class="quiet small">{{ $r->deviceClass()->label() }}</span></label>@endforeach
            </div></fieldset>
            <fieldset><legend class="label">Members</legend><div style="max-height: 15rem; overflow: auto; border: 1px solid var(--rule); padding: 0.6rem">
                @foreach($people as $role => $list)<p class="quiet small">{{ $role === 'panel' ? 'panel' : 'instructors' }}</p>@foreach($list as $p)<label style="display: block"><input type="checkbox" name="members[]" value="{{ $p->id }}" @checked(in_array((string) $p->id, old('members', []), true))> {{ $p->name }}</label>@endforeach @endforeach
            </div></fieldset>
        </div>
        <button class="act" style="margin-top: 1rem">Keep as a draft</button>
    </form>
</x-layout>
