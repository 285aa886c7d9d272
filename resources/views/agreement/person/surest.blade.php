<h2>{{ __('agreement.person.surest.title') }}</h2>
<p class="small quiet">{{ $surest['says'] }}</p>
<table class="rows slim">
    <thead>
        <tr>
            <th></th>
            <th class="num">{{ __('agreement.person.surest.right') }}</th>
            <th class="num">{{ __('agreement.person.surest.others') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach($surest['rows'] as $row)
            <tr>
                <td>{{ $row['part'] }}</td>
                <td class="num"><b>{{ $row['right'] }}</b></td>
                <td class="num">{{ $row['others'] }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
