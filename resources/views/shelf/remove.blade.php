<x-layout title="Take away">
    <p class="small"><a href="{{ route('bench', $recording) }}">Bench</a></p>
    <h1>Take away {{ $recording->golfer->pseudonym }}, {{ $recording->club }}?</h1>
    @if($sittings === [])
        <p class="words">Nothing hangs on it. It goes whole: trace, body points, {{ $films === 0 ? 'no film' : ($films === 1 ? 'one film' : $films.' films') }}, stations and measures. This cannot be undone.</p>
    @else
        <p class="words">Film, trace, body points and measures go, at once and for good. What people said of it stays, without the swing:</p>
        <table class="rows"><tr><th>Asked about in</th><th>State</th><th class="num">Cases</th><th class="num">Readings handed in</th></tr>
            @foreach($sittings as $s)<tr><td>{{ $s['name'] }}</td><td>{{ $s['state']->value }}</td><td class="num">{{ $s['cases'] }}</td><td class="num">{{ $s['readings'] }}</td></tr>@endforeach
        </table>
        <p class="words">{{ $entries }} entries of keys and the figures made from all this stay as they are, are marked as made from erased inputs, and are never worked out again. Where a round is open, its readers are not asked about it any more.</p>
    @endif
    <form method="post" action="{{ route('bench.erase', $recording) }}">@csrf @method('delete')
        <a class="act" href="{{ route('bench', $recording) }}">Keep it</a> <button class="act second">Take it away</button>
    </form>
</x-layout>
