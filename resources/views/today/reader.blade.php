<x-layout title="Today">
    @forelse($open as $r)
        @php($left = $r['readings']->count() - $r['done'])
        <h1>{{ $r['round']->name }}</h1>
        <p class="quiet" style="margin: 0.2rem 0 1rem">opened {{ $r['round']->opened_at->timezone(config('academy.zone'))->format('j F Y') }} · read alone and blind: nobody sees your calls before it is published, and you see nobody's</p>
        <div class="tiles"><div><b>{{ $left }}</b>{{ $left === 1 ? 'case' : 'cases' }} to read</div><div><b>{{ $r['done'] }}</b>handed in</div><div><b>{{ $r['readings']->count() }}</b>in all</div></div>
        <div class="bar" style="max-width: 30rem; margin: 0.8rem 0 1.2rem" role="img" aria-label="{{ $r['done'] }} of {{ $r['readings']->count() }} handed in"><i style="width: {{ 100 * $r['done'] / max(1, $r['readings']->count()) }}%"></i></div>
        @php($waits = $r['again']->whereNull('handed_in_at'))
        @if($r['later'] !== null)
            <p>The first part is handed in. The second begins on {{ $r['later']->timezone(config('academy.zone'))->format('j F') }}: the wait belongs to the method.</p>
        @elseif($next?->case->sitting_id === $r['round']->id)
            <a class="act big" href="{{ route('read.next') }}" autofocus>{{ $next?->stage === \Core\Reading\Stage::Reveal ? 'Look at case '.$next->position.' again, with the ball' : ($next?->version > 0 ? 'Go on with case '.$next->position : 'Read case '.($next?->position)) }}</a>
        @elseif($left > 0 || $waits->isNotEmpty())
            <p>Nothing of this round can be read just now.</p>
        @else
            <p>All handed in. The figures come when the head coach publishes the round.</p>
        @endif
        <h2>Your cases</h2>
        <table class="rows" style="max-width: 34rem">
            <tr><th>Case</th><th>State</th><th></th>@if($r['round']->reveals)<th>Second look</th>@endif</tr>
            @foreach($r['readings'] as $reading)
                <tr>
                    <td>{{ $reading->position }}</td>
                    <td class="quiet">{{ $reading->handed_in_at !== null ? 'handed in '.$reading->handed_in_at->timezone(config('academy.zone'))->format('j M, H:i') : ($reading->version > 0 ? 'begun' : 'not begun') }}</td>
                    <td class="num">@if($why[$reading->id] === null)<a href="{{ route('read', $reading) }}">{{ $reading->handed_in_at !== null ? 'look' : 'read' }}</a>@else<span class="quiet">{{ $reading->handed_in_at !== null ? 'later' : 'not yet' }}</span>@endif</td>
                    @if($r['round']->reveals)@php($again = $r['again'][$reading->sitting_case_id] ?? null)<td class="quiet">@if($again)<a href="{{ route('read', $again) }}">{{ $again->handed_in_at !== null ? 'handed in' : 'waits' }}</a>@else after the first @endif</td>@endif
                </tr>
            @endforeach
        </table>
    @empty
        <h1>Today</h1>
        <p style="margin: 0.8rem 0">No round is open for you. When the head coach opens one, your next case stands here, one click away.</p>
    @endforelse
    @foreach($waiting as $r)
        <h2>{{ $r['round']->name }}</h2>
        <p>Closed and waiting to be published.</p>
    @endforeach
    @if($published->isNotEmpty())
        <h2>Published</h2>
        <ul>
            @foreach($published as $r)
                <li><a href="{{ $r['round']->isPanel() ? route('panel', $r['round']) : route('agreement', $r['round']) }}">{{ $r['round']->name }}</a> <span class="quiet">· {{ $r['round']->published_at->timezone(config('academy.zone'))->format('j F Y') }} · you read {{ $r['done'] }} cases</span></li>
            @endforeach
        </ul>
    @endif
</x-layout>
