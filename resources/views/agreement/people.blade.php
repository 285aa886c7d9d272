<h2>{{ __('agreement.forest') }}</h2>
@include('agreement.legend')
@include('agreement.people-table')
@if($groups)
    <h2>{{ __('agreement.groups.title') }}</h2>
    <table class="rows slim">
        <thead>
            <tr>
                <th>{{ __('agreement.groups.group') }}</th>
                <th class="num">{{ __('agreement.groups.readers') }}</th>
                <th>{{ __('agreement.groups.sensitivity') }}</th>
                <th>{{ __('agreement.groups.specificity') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($groups as $group)
                <tr>
                    <td>{{ $group['name'] }}</td>
                    <td class="num">{{ $group['readers'] }} / {{ $group['others'] }}</td>
                    @foreach($group['figures'] as $figure)
                        <td><b>{{ $figure['mean'] }} %</b> <span class="small quiet">{{ $figure['says'] }}</span></td>
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
    <p class="small quiet">{{ __('agreement.groups.how') }}</p>
@endif
@if($repeats)
    @include('agreement.repeats')
@else
    <p class="small quiet">{{ __('agreement.repeats.none') }}</p>
@endif
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
