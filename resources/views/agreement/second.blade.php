{{-- What a second look with the ball and the numbers changed. Expects $second. --}}
<h2>{{ $second['finding'] }}</h2>
@foreach(['rows' => 'person', 'faults' => 'fault'] as $of => $head)
    @if($second[$of])
        <x-scroll>
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('agreement.table.'.$head) }}</th>
                        <th class="num">{{ __('agreement.second.calls') }}</th>
                        <th class="num">{{ __('agreement.second.changed') }}</th>
                        <th class="num">{{ __('agreement.second.scored') }}</th>
                        <th class="num">{{ __('agreement.second.toward') }}</th>
                        <th class="num">{{ __('agreement.second.away') }}</th>
                        <th class="num">{{ __('agreement.second.gain') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($second[$of] as $row)
                        <tr>
                            <td><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></td>
                            <td class="num">{{ $row['calls'] }}</td>
                            <td class="num"><x-figure-value :figure="$row['changed']" percent :n="$row['calls']" /></td>
                            <td class="num">{{ $row['scored'] }}</td>
                            <td class="num">{{ $row['toward'] }}</td>
                            <td class="num">{{ $row['away'] }}</td>
                            <td class="num"><x-figure-value :figure="$row['gain']" percent :n="$row['scored']" /></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
    @endif
@endforeach
<p class="small quiet">{{ __('agreement.second.says') }}</p>
