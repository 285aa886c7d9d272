<x-scroll>
    <table class="rows">
        <thead>
            <tr>
                <th>{{ __('agreement.table.person') }}</th>
                <th class="num">{{ __('agreement.table.n') }}</th>
                @if($placed = $people[0]['place'] ?? null)
                    <th class="num" title="{{ __('agreement.table.place-hint') }}">{{ __('agreement.table.place') }}</th>
                    <th class="num" title="{{ __('agreement.table.right-hint') }}">{{ __('agreement.table.right') }}</th>
                @endif
                @foreach(['sensitivity', 'specificity', 'ppv', 'leaning', 'mcc'] as $head)
                    <th>{{ __('agreement.table.'.$head) }}</th>
                @endforeach
                @foreach(['rest', 'brier'] as $head)
                    <th title="{{ __('agreement.table.'.$head.'-hint') }}">{{ __('agreement.table.'.$head) }}</th>
                @endforeach
                <th class="num">{{ __('agreement.table.cannot-tell') }}</th>
                <th class="num" title="{{ __('agreement.table.unsupported-hint') }}">
                    {{ __('agreement.table.unsupported') }}
                </th>
            </tr>
        </thead>
        <tbody>
            @foreach($people as $person)
                <tr @class(['apart' => $person['apart']])>
                    <td>
                        @if($person['url'])
                            <a href="{{ $person['url'] }}">{{ $person['name'] }}</a>
                        @else
                            {{ $person['name'] }}
                        @endif
                    </td>
                    <td class="num">{{ $person['n'] }}</td>
                    @if($placed)
                        <td class="num">{{ $person['place'] ?? __('figures.none') }}</td>
                        <td class="num">{{ $person['right'] ?? __('figures.none') }}</td>
                    @endif
                    @foreach(['sensitivity', 'specificity'] as $name)
                        <td><x-figure-value :figure="$person['figures'][$name]" percent /></td>
                    @endforeach
                    @if($person['url'])
                    <td><x-figure-value :figure="$person['figures']['ppv']" percent /></td>
                    <td>{{ $person['leaning'] }}</td>
                    <td><x-figure-value :figure="$person['figures']['mcc']" /></td>
                    <td><x-figure-value :figure="$person['rest']" /></td>
                    <td><x-figure-value :figure="$person['figures']['brier']" /></td>
                    <td class="num">{{ $person['cannotTell'] }}</td>
                    <td class="num">{{ $person['unsupported'] }}</td>
                    @else
                    <td colspan="7"></td>
                    @endif
                </tr>
            @endforeach
        </tbody>
    </table>
</x-scroll>
@if($placed)
    <p class="small quiet">{{ __('agreement.table.placed') }}</p>
@endif
