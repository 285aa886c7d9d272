<h2>{{ __('agreement.faults.title') }}</h2>
<x-scroll>
    @include('agreement.faults-table', ['linked' => true])
</x-scroll>
<details class="more">
    <summary class="small">{{ __('agreement.faults.every') }}</summary>
    <x-scroll>
        <table class="rows">
            <thead>
                <tr>
                    <th></th>
                    @foreach($all as $head)
                        <th>{{ $head }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                <tr>
                    <td><b>{{ __('agreement.faults.pooled') }}</b></td>
                    @foreach($pooled as $f)
                        <td><x-figure-value :figure="$f['figure']" :percent="$f['percent']" /></td>
                    @endforeach
                </tr>
                <tr>
                    <td>{{ __('agreement.faults.mean') }}</td>
                    @foreach($mean as $f)
                        <td><x-figure-value :figure="$f['figure']" :percent="$f['percent']" /></td>
                    @endforeach
                </tr>
                <tr>
                    <td>{{ __('agreement.faults.three-way') }}</td>
                    @foreach($threeWay as $f)
                        <td><x-figure-value :figure="$f['figure']" :percent="$f['percent']" /></td>
                    @endforeach
                </tr>
                @foreach($rows as $row)
                    <tr>
                        <td>{{ $row['name'] }}</td>
                        @foreach($row['all'] as $f)
                            <td><x-figure-value :figure="$f['figure']" :percent="$f['percent']"
                                :n="$row['cases']" /></td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
</details>
<p class="small quiet">{{ __('agreement.faults.thin') }}</p>
@if($scale)
    <h2>{{ __('agreement.scale.hardest') }}</h2>
    <div class="suggested">
        @include('agreement.scale', ['title' => __('agreement.table.fault'), 'rows' => $scale['faults']])
        @include('agreement.scale', ['title' => __('agreement.scale.case'), 'rows' => $scale['cases']])
    </div>
    <p class="small quiet">{{ __('agreement.scale.how-questions') }} {{ $scale['apart'] }}</p>
@endif
