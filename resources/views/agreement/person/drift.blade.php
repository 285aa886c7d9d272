@if($drift === null)
    <h2>{{ $drifted }}</h2>
    <p class="quiet">{{ __('agreement.person.drift.needs', ['count' => \Core\Agreement\Profile\DriftChart::LEAST]) }}</p>
@else
    <x-drift :broad="$drift['broad']" :slim="$drift['slim']" :finding="$drifted" />
    <p class="small quiet">
        <span class="call present">{{ __('agreement.person.drift.present') }}</span>
        {{ __('agreement.person.drift.present-up') }}
        <span class="call absent">{{ __('agreement.person.drift.right') }}</span>
        {{ __('agreement.person.drift.right-up') }} {{ $drift['how'] }}
    </p>
    <details>
        <summary class="small">{{ __('agreement.person.as-table') }}</summary>
        <x-scroll>
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('agreement.person.drift.golfers') }}</th>
                        <th class="num">{{ __('agreement.person.drift.calls') }}</th>
                        <th class="num">{{ __('agreement.person.drift.right') }}</th>
                        <th class="num">{{ __('agreement.person.drift.present') }}</th>
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
                            <td class="num">{{ $row['calls'] }}</td>
                            <td class="num">{{ $row['right'] }}</td>
                            <td class="num">{{ $row['present'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
    </details>
@endif
