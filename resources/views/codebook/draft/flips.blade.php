<x-scroll>
    <table class="rows">
        <thead>
            <tr>
                <th>{{ __('draft.flips.recording') }}</th>
                <th>{{ __('draft.flips.lenses') }}</th>
                <th>{{ __('draft.flips.was') }}</th>
                <th>{{ __('draft.flips.is') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($rows as $row)
                <tr>
                    <td><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></td>
                    <td>{{ $row['lenses'] }}</td>
                    <td>{{ $row['was'] }}</td>
                    <td>{{ $row['is'] }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-scroll>
