<h2>{{ __('agreement.parts.advice') }}</h2>
<p class="small quiet">{{ __('agreement.advice.beside-says') }}</p>
<table class="rows slim">
    <tbody>
        @foreach($advice as $row)
            <tr>
                <td>{{ $row['name'] }}</td>
                <td class="num"><x-figure-value :figure="$row['figure']" :percent="$row['percent']" /></td>
            </tr>
        @endforeach
    </tbody>
</table>
<p class="small quiet">{{ __('agreement.advice.caution') }}</p>
