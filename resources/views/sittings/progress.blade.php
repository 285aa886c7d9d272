{{-- How far a round is read. Fetched again while it is open. --}}
@if($progress)
    <h2>{{ $progressTitle }}</h2>
    <table class="rows mid">
        <thead>
            <tr>
                <th>{{ __('round.heads.member') }}</th>
                <th>{{ __('round.heads.done') }}</th>
                <th class="num">{{ __('round.heads.cases') }}</th>
                <th>{{ __('round.heads.last') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($progress as $p)
                <tr>
                    <td>{{ $p['name'] }}</td>
                    <td><x-done :done="$p['done']" :of="$p['of']" /></td>
                    <td class="num">{{ $p['done'] }} / {{ $p['of'] }}</td>
                    <td class="quiet">{{ $p['last'] }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
