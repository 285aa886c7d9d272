<table class="rows slim">
    <thead><tr><th>{{ $title }}</th><th class="num">{{ __('agreement.scale.right') }}</th></tr></thead>
    <tbody>
        @foreach($rows as $row)
            <tr>
                <td>
                    @if($row['url'])
                        <a href="{{ $row['url'] }}">{{ $row['name'] }}</a>
                    @else
                        {{ $row['name'] }}
                    @endif
                    @if($row['note'])
                        <span class="small quiet">{{ $row['note'] }}</span>
                    @endif
                </td>
                <td class="num"><b>{{ $row['share'] }}</b> <span class="quiet small whole">{{ $row['interval'] }}</span></td>
            </tr>
        @endforeach
    </tbody>
</table>
