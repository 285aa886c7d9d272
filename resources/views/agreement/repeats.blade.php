{{-- What people called again of a case that came back unannounced. Expects $repeats. --}}
<h2>{{ __('agreement.repeats.title') }}</h2>
@if($repeats['rows'])
    <table class="rows slim">
        <thead>
            <tr>
                <th>{{ __('agreement.table.person') }}</th>
                <th class="num">{{ __('agreement.repeats.n') }}</th>
                <th class="num">{{ __('agreement.repeats.same') }}</th>
                <th class="num">{{ __('agreement.repeats.kappa') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($repeats['rows'] as $row)
                <tr>
                    <td><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></td>
                    <td class="num">{{ $row['n'] }}</td>
                    <td class="num"><x-figure-value :figure="$row['same']" percent :n="$row['n']" /></td>
                    <td class="num"><x-figure-value :figure="$row['kappa']" :n="$row['n']" /></td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
<p class="small quiet">{{ __('agreement.repeats.says') }}
    @foreach($repeats['cases'] as $case)
        <a href="{{ $case['url'] }}">{{ $case['name'] }}</a>@if(! $loop->last);@endif
    @endforeach
</p>
