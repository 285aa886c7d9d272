<table class="rows differences">
    <thead>
        <tr>
            <th>{{ __('bench.compare.measure') }}</th>
            <th class="num">{{ __('bench.compare.which.first') }}</th>
            <th class="num">{{ __('bench.compare.which.second') }}</th>
            <th class="num">{{ __('bench.compare.less') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach($rows as $row)
            <tr @class(['beyond' => $beyond])>
                <td title="{{ $row['definition'] }}">
                    <a href="{{ route('codebook') }}#m-{{ $row['key'] }}">{{ $row['label'] }}</a>
                    <span class="quiet small">{{ $row['unit'] }}</span>
                </td>
                @foreach($row['values'] as $value)
                    <td class="num">
                        <span @class(['quiet' => $value['none']])
                            title="{{ $value['reason'] }}">{{ $value['text'] }}</span>
                    </td>
                @endforeach
                <td class="num">
                    @if($row['change'] !== null)
                        <b>{{ $row['change'] }}</b> <small>{{ $row['plusMinus'] }}</small>
                    @else
                        <span class="quiet small">{{ $row['why'] }}</span>
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
