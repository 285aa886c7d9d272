<h2>{{ $cues['finding'] }}</h2>
<p class="small quiet">{{ __('agreement.cues.says') }}</p>
@if($cues['people'])
    <x-scroll>
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('agreement.table.person') }}</th>
                    <th class="num">{{ __('agreement.cues.n') }}</th>
                    <th class="num">{{ __('agreement.cues.words') }}</th>
                    @foreach(__('agreement.cues.figures') as $name)
                        <th class="num">{{ $name }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($cues['people'] as $person)
                    <tr>
                        <td>{{ $person['name'] }}</td>
                        <td class="num">{{ $person['n'] }}</td>
                        <td class="num">{{ $person['words'] }}</td>
                        @foreach($person['figures'] as $figure)
                            <td class="num"><x-figure-value :figure="$figure" percent :n="$person['n']" /></td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
@endif
@if($cues['phrases'])
    <x-scroll>
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('agreement.cues.phrase') }}</th>
                    <th class="num">{{ __('agreement.cues.times') }}</th>
                    <th class="num">{{ __('agreement.cues.readers') }}</th>
                    <th>{{ __('agreement.cues.provokes') }}</th>
                    <th class="num">{{ __('agreement.cues.unsupported') }}</th>
                    <th></th>
                </tr>
            </thead>
            <tbody>
                @foreach($cues['phrases'] as $phrase)
                    <tr>
                        <td>“{{ $phrase['said'] }}”</td>
                        <td class="num">{{ $phrase['times'] }}</td>
                        <td class="num">{{ $phrase['readers'] }}</td>
                        <td>{{ $phrase['provokes'] }}</td>
                        <td class="num">{{ $phrase['unsupported'] }}</td>
                        <td class="small">{{ $phrase['why'] }}
                            @foreach($phrase['cases'] as $url)
                                <a href="{{ $url }}">{{ __('agreement.cues.case', ['n' => $loop->iteration]) }}</a>
                            @endforeach
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
@endif
