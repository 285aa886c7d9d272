<h2>{{ __('agreement.forest') }}</h2>
@include('agreement.legend')
@include('agreement.people-table')
<h2>{{ __('agreement.map.title') }}</h2>
<x-scroll>
    <table class="rows heat upright">
        <thead>
            <tr>
                <th></th>
                @foreach($faults as $fault)
                    <th><span>{{ $fault }}</span></th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach($map as $row)
                <tr>
                    <td>{{ $row['name'] }}</td>
                    @foreach($row['cells'] as $cell)
                        <td class="cell shade-{{ $cell['shade'] }}" title="{{ $cell['hint'] }}">{{ $cell['text'] }}</td>
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
</x-scroll>
<p class="small quiet">{{ __('agreement.map.says', ['cases' => $cases]) }}</p>
@if($scale)
    <h2>{{ __('agreement.scale.people') }}</h2>
    @include('agreement.scale', ['title' => __('agreement.table.person'), 'rows' => $scale['rows']])
    <p class="small quiet">{{ __('agreement.scale.how-people') }} {{ $scale['apart'] }}</p>
@endif
