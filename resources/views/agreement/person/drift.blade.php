@if($drift === null)
    <h2>{{ $drifted }}</h2>
    <p class="quiet">{{ __('agreement.person.drift.needs', ['count' => \Core\Agreement\Profile\RaterProfile::WINDOW]) }}</p>
@else
    <x-drift :broad="$drift['broad']" :slim="$drift['slim']" :finding="$drifted" />
    <p class="small quiet">
        <span class="call present">{{ __('agreement.person.drift.criterion') }}</span>
        {{ __('agreement.person.drift.criterion-up') }}
        <span class="call absent">{{ __('agreement.person.drift.d-prime') }}</span>
        {{ __('agreement.person.drift.d-prime-up') }} {{ $drift['how'] }}
    </p>
    <details>
        <summary class="small">{{ __('agreement.person.as-table') }}</summary>
        <x-scroll>
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('agreement.table.cases') }}</th>
                        @foreach(__('agreement.person.cells') as $head)
                            <th class="num">{{ $head }}</th>
                        @endforeach
                        <th class="num">d′</th>
                        <th class="num">c</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($drift['rows'] as $row)
                        <tr>
                            <td>
                                {{ $row['name'] }}
                                @if($row['beyond'])
                                    <b>{{ __('agreement.person.drift.beyond') }}</b>
                                @endif
                            </td>
                            @foreach($row['cells'] as $v)
                                <td class="num">{{ $v }}</td>
                            @endforeach
                            <td class="num">{{ $row['d'] }}</td>
                            <td class="num">{{ $row['c'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
    </details>
@endif
