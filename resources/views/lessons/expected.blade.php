@if($expected)
    <table class="rows">
        <thead>
            <tr>
                <th>{{ __('prescriptions.expected.measure') }}</th>
                <th>{{ __('prescriptions.expected.way') }}</th>
                <th>{{ __('prescriptions.expected.is') }}</th>
                <th>{{ __('prescriptions.expected.real') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($expected as $e)
                <tr>
                    <th scope="row">{{ $e['name'] }}</th>
                    <td>{{ $e['way'] }}</td>
                    <td>{{ $e['now'] }}</td>
                    <td>{{ $e['least'] }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <p class="small quiet">{{ __('prescriptions.expected.says', ['least' => $least]) }}</p>
@else
    <p class="quiet">{{ __('prescriptions.expected.none') }}</p>
@endif
