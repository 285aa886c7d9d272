{{-- Everybody's calls, a row a case or a fault. Expects $first, $readers, $rows, $counts. --}}
<x-scroll>
    <table class="rows behind">
        <thead>
            <tr>
                <th>{{ $first }}</th>
                <th>{{ __('agreement.behind.key') }}</th>
                @foreach($readers as $i => $reader)
                    <th>
                        {{ $reader }}
                        @isset($ways[$i])
                            <span class="small quiet why">{{ $ways[$i] }}</span>
                        @endisset
                    </th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach($rows as $row)
                <tr>
                    <th scope="row"><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></th>
                    <td title="{{ $row['why'] }}">
                        @if($row['key'])
                            <x-call :presence="$row['key']" />
                            <span class="small quiet">{{ $row['grade'] }}</span>
                        @endif
                    </td>
                    @foreach($row['cells'] as $cell)
                        <td @class(['wrong' => $cell?->right === false, 'uncounted' => $cell && $cell->note !== ''])>
                            @if($cell)
                                <x-call :presence="$cell->presence" />
                                <span class="small quiet whole">{{ $cell->sure }}</span>
                                @if($cell->right === false)
                                    <span class="small why">{{ __('agreement.behind.wrong') }}</span>
                                @endif
                                @foreach($cell->later as $later)
                                    <span class="small quiet why">{{ $later }}</span>
                                @endforeach
                                @if($cell->note)
                                    <span class="small quiet why">{{ $cell->note }}</span>
                                @endif
                            @endif
                        </td>
                    @endforeach
                </tr>
            @endforeach
            @if($rows)
                <tr class="sums">
                    <th scope="row" colspan="2">{{ __('agreement.behind.right') }}</th>
                    @foreach($counts as $count)
                        <td class="num">{{ $count }}</td>
                    @endforeach
                </tr>
            @endif
        </tbody>
    </table>
</x-scroll>
