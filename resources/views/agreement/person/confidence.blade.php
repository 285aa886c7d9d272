<x-calibration :points="$calibration" :finding="$calibrated" />
<details>
    <summary class="small">{{ __('agreement.person.as-table') }}</summary>
    <table class="rows">
        <thead>
            <tr>
                <th class="num">{{ __('agreement.person.confidence.said') }}</th>
                <th class="num">{{ __('agreement.person.confidence.calls') }}</th>
                <th class="num">{{ __('agreement.person.confidence.right') }}</th>
                <th>{{ __('agreement.person.confidence.share') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($calibrationRows as $row)
                <tr>
                    <td class="num">{{ $row['said'] }}</td>
                    <td class="num">{{ $row['n'] }}</td>
                    <td class="num">{{ $row['right'] }}</td>
                    <td>{{ $row['share'] }} <span class="small quiet">{{ $row['interval'] }}</span></td>
                </tr>
            @endforeach
        </tbody>
    </table>
</details>
