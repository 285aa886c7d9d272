<h2>{{ $surely }}</h2>
@if($sure === [])
    <p class="quiet">{{ $surelyNone }}</p>
@endif
@foreach($sureParts as $rows)
    @if(! $loop->first)
        <details><summary class="small">{{ __('agreement.person.sure.more', ['count' => count($rows)]) }}</summary>
    @endif
    <x-scroll>
        <table class="rows surely">
            <thead>
                <tr>
                    <th>{{ __('agreement.table.case') }}</th>
                    <th>{{ __('agreement.table.fault') }}</th>
                    <th>{{ __("agreement.person.$whose.called", ['name' => $first]) }}</th>
                    <th>{{ __('agreement.table.truth') }}</th>
                    <th>{{ __('agreement.table.measured') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach($rows as $row)
                    <tr>
                        <td><a href="{{ route('bench', $row['recording']) }}">{{ $row['case'] }}</a></td>
                        <td>{{ $row['fault'] }}</td>
                        <td>
                            <x-call :presence="$row['called']" />
                            <span class="small quiet">{{ $row['confidence'] }} %</span>
                        </td>
                        <td>
                            <x-call :presence="$row['truth']" />
                            @if($row['entry'])
                                <x-grade :grade="$row['entry']->grade" />
                            @endif
                        </td>
                        <td class="small quiet">{{ $row['measured'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
    @if(! $loop->first)
        </details>
    @endif
@endforeach
@if($sureLeft)
    <p class="small quiet">{{ $sureLeft }}</p>
@endif
