<x-layout title="Today">
    @php($zone = config('academy.zone'))
    @forelse($open as $round)
        @php($people = $progress[$round->id] ?? collect())
        @php($done = $people->sum('done'))
        @php($all = max(1, $people->sum('cases')))
        <h1>{{ $round->name }} is {{ round(100 * $done / $all) }} % read</h1>
        <p class="quiet" style="margin: 0.2rem 0 0.9rem">opened {{ $round->opened_at->timezone($zone)->format('j F Y') }} · {{ $done }} of {{ $all }} readings handed in</p>
        <table class="rows" style="max-width: 52rem">
            <tr><th>{{ $round->isPanel() ? 'Panel member' : 'Instructor' }}</th><th>Handed in</th><th class="num">Cases</th><th>Last touched</th></tr>
            @foreach($people->sortBy('done') as $p)
                <tr><td>{{ $p->name }}</td><td style="width: 45%"><div class="bar" role="img" aria-label="{{ $p->done }} of {{ $p->cases }}"><i style="width: {{ 100 * $p->done / $p->cases }}%"></i></div></td><td class="num">{{ $p->done }} / {{ $p->cases }}</td><td class="quiet">{{ $p->done > 0 ? \Illuminate\Support\Carbon::parse($p->last)->timezone($zone)->format('j M, H:i') : 'not begun' }}</td></tr>
            @endforeach
        </table>
        <p style="margin-top: 0.8rem"><a class="act second" href="{{ route('rounds.show', $round) }}">Watch, close</a></p>
    @empty
        <h1>No round is open</h1>
        <p style="margin: 0.8rem 0"><a class="act" href="{{ route('rounds') }}">Plan a round</a></p>
    @endforelse
    @foreach($closed as $round)
        <h2>{{ $round->name }} is closed and not published</h2>
        <a class="act" href="{{ route('rounds.show', $round) }}">Look and publish</a>
    @endforeach
    @if($unsettled->isNotEmpty())
        <h2>{{ $unsettled->where('grade', 'conflict')->count() }} in conflict, {{ $unsettled->where('grade', 'contested')->count() }} contested in the key</h2>
        <table class="rows">
            <tr><th>Recording</th><th>Fault</th><th>Panel</th><th>Grade</th><th>What the measurement says</th><th></th></tr>
            @foreach($unsettled as $e)
                <tr><td><a href="{{ route('bench', $e->recording) }}">{{ $e->recording->golfer->pseudonym }}, {{ $e->recording->club }}</a></td><td>{{ $codebook->faults[$e->fault]->name }}</td><td class="num">{{ $e->present }} present, {{ $e->absent }} absent</td><td><x-grade :grade="$e->grade" /></td><td class="small quiet">@said($e->measured()->why, ['fault' => $codebook->faults[$e->fault]->name])</td><td><a href="{{ route('panel', $e->keyVersion->sitting) }}#e{{ $e->id }}">{{ $e->grade === 'conflict' ? 'rule' : 'look' }}</a></td></tr>
            @endforeach
        </table>
    @endif
    @if($expiring->isNotEmpty())
        <h2>Consents running out</h2>
        <ul>@foreach($expiring as $c)<li>{{ $c->pseudonym }} – {{ $c->expires_on->isPast() ? 'ran out' : 'until' }} {{ $c->expires_on->format('j F Y') }}</li>@endforeach</ul>
    @endif
    @if($published)
        <h2>Last published</h2>
        <a href="{{ route('agreement', $published) }}">{{ $published->name }}</a> <span class="quiet">· {{ $published->published_at->timezone($zone)->format('j F Y') }}</span>
    @endif
</x-layout>
