{{-- What the round as it is ticked will be able to say. Fetched anew when that step is come to. --}}
<p>{{ $says }}</p>
@if($rows)
    <table class="rows slim">
        <thead>
            <tr>
                @foreach(['share', 'agreed', 'agreement', 'finding', 'change'] as $head)
                    <th class="num">{{ __('plan.forecast.heads.'.$head) }}</th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach($rows as $row)
                <tr>
                    <td class="num">{{ $row['share'] }}</td>
                    <td class="num">{{ $row['agreed'] }}</td>
                    @foreach($row['cells'] as $cell)
                        <td @class(['num', 'thin' => $cell['wide']])>{{ $cell['says'] }}</td>
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
    <p class="small quiet">{{ __('plan.forecast.how') }}</p>
@endif
@if($cost)
    <p>{{ $cost }}</p>
@endif
