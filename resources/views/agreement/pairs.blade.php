<h2>{{ __('agreement.pairs.title') }}</h2>
<x-scroll>
    <table class="rows heat">
        <thead>
            <tr>
                <th></th>
                @foreach($heads as $head)
                    <th>{{ $head }}</th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach($matrix as $row)
                <tr>
                    <td>{{ $row['name'] }}</td>
                    @foreach($row['cells'] as $cell)
                        @if($cell['shade'] === null)
                            <td class="quiet">{{ $cell['text'] }}</td>
                        @else
                            <td class="cell shade-{{ $cell['shade'] }}"
                                title="{{ $cell['hint'] }}"><a href="{{ $cell['url'] }}">{{ $cell['text'] }}</a></td>
                        @endif
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
</x-scroll>
<details class="more">
    <summary class="small">{{ __('agreement.pairs.every') }}</summary>
    <x-scroll>
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('agreement.table.pair') }}</th>
                    <th class="num">{{ __('agreement.table.common') }}</th>
                    <th>{{ __('agreement.table.same') }}</th>
                    <th>{{ __('agreement.table.kappa') }}</th>
                    <th>{{ __('agreement.table.pabak') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach($pairs as $pair)
                    <tr>
                        <td><a href="{{ $pair['url'] }}">{{ $pair['names'] }}</a></td>
                        <td class="num">{{ $pair['n'] }}</td>
                        <td>{{ $pair['same'] }}</td>
                        <td><x-figure-value :figure="$pair['kappa']" /></td>
                        <td><x-figure-value :figure="$pair['pabak']" /></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
</details>
