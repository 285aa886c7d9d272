<h2>{{ trans_choice('agreement.calls.title', $calls->total(), ['count' => $calls->total()]) }}</h2>
@if($calls->isEmpty())
    <p>{{ __('agreement.calls.none') }}</p>
@else
    <x-scroll>
        <table class="rows">
            <thead>
                <tr>
                    @foreach(['case', 'fault', 'own', 'truth', 'grade', 'measured'] as $head)
                        <th>{{ __('agreement.table.'.$head) }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($calls as $d)
                    <tr>
                        <td><a href="{{ $d['url'] }}">{{ $d['case'] }}</a></td>
                        <td>{{ $d['fault'] }}</td>
                        <td>
                            <x-call :presence="$d['call']" />
                            @if($d['confidence'])
                                <span class="small quiet">{{ $d['confidence'] }} %</span>
                            @endif
                        </td>
                        <td><x-call :presence="$d['truth']" /></td>
                        <td><x-grade :grade="$d['grade']" /></td>
                        <td class="small quiet">{{ $d['measured'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
    <x-pages :pages="$calls" words="agreement.calls.pages" />
@endif
