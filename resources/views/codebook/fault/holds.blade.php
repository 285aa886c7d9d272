<h2>{{ __('definition.holds') }}</h2>
<ul class="proposals">
    @foreach($holds['proposals'] as $proposal)
        <li>{{ $proposal }}</li>
    @endforeach
</ul>
<p>{{ $holds['panel'] }}
    <a href="{{ route('codebook.draft.edit', ['faults', $fault['key']]) }}">{{ __('definition.edit') }}</a></p>
<div class="two-tables">
    @if($holds['rounds'])
        <x-scroll>
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('definition.round') }}</th>
                        <th>{{ __('definition.lens') }}</th>
                        <th class="num">{{ __('definition.cases') }}</th>
                        <th>{{ __('definition.joined') }}</th>
                        <th>{{ __('definition.alpha') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($holds['rounds'] as $row)
                        <tr>
                            <td><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></td>
                            <td>{{ $row['lens'] }}</td>
                            <td class="num">{{ $row['cases'] }}</td>
                            <td><x-figure-value :figure="$row['joined']" percent :n="$row['cases']" /></td>
                            <td><x-figure-value :figure="$row['alpha']" :n="$row['cases']" /></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
    @else
        <p class="quiet">{{ __('definition.nothing') }}</p>
    @endif
    @if($holds['devices'])
        <x-scroll>
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('definition.device') }}</th>
                        <th class="num">{{ __('definition.calls') }}</th>
                        <th>{{ __('definition.untold') }}</th>
                        <th>{{ __('definition.joined') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($holds['devices'] as $row)
                        <tr>
                            <td>{{ $row['name'] }}</td>
                            <td class="num">{{ $row['calls'] }}</td>
                            <td><x-figure-value :figure="$row['figure']" percent :n="$row['calls']" /></td>
                            <td><x-figure-value :figure="$row['joined']" percent :n="$row['calls']" /></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
    @endif
</div>
<p class="small quiet">{{ __('definition.pointers') }}</p>
