{{-- Fault by fault. Expects $rows, $main, $linked. --}}
<table class="rows">
    <thead>
        <tr>
            <th>{{ __('agreement.table.fault') }}</th>
            <th class="num">{{ __('agreement.table.cases') }}</th>
            <th>{{ __('agreement.table.present') }}</th>
            @foreach($main as $head)
                <th>{{ $head }}</th>
            @endforeach
        </tr>
    </thead>
    <tbody>
        @foreach($rows as $row)
            <tr id="{{ $row['key'] }}">
                <td>
                    @if($linked)
                        <a href="{{ route('agreement.fault', [$round, $row['key']]) }}">{{ $row['name'] }}</a>
                    @else
                        {{ $row['name'] }}
                    @endif
                </td>
                <td class="num">{{ $row['cases'] }}</td>
                <td><x-figure-value :figure="$row['present']" percent :n="$row['cases']" /></td>
                @foreach($row['main'] as $f)
                    <td><x-figure-value :figure="$f['figure']" :percent="$f['percent']" :n="$row['cases']" /></td>
                @endforeach
            </tr>
        @endforeach
    </tbody>
</table>
