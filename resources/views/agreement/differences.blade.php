{{-- What was shown, two ways by two. Expects $differences. --}}
<table class="rows">
    <thead>
        <tr>
            <th>{{ __('agreement.table.compared') }}</th>
            <th>{{ __('agreement.table.figure') }}</th>
            @foreach(['differs', 'p', 'finds'] as $head)
                <th class="num">{{ __('agreement.table.'.$head) }}</th>
            @endforeach
        </tr>
    </thead>
    <tbody>
        @foreach($differences as $d)
            <tr>
                <td>{{ $d['names'] }}</td>
                <td>{{ $d['figure'] }}</td>
                <td class="num">
                    @if($d['undefined'] !== null)
                        <span class="thin">{{ $d['undefined'] }}</span>
                    @else
                        <b>{{ $d['by'] }}</b> <span class="small quiet">{{ $d['interval'] }}</span>
                    @endif
                </td>
                <td class="num">{{ $d['p'] }}</td>
                <td class="num">{{ $d['finds'] }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
