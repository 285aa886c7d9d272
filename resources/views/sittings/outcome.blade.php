{{-- What the ball did and what was measured: shown only at the second look. Expects $outcome. --}}
<section class="outcome" aria-labelledby="outcome-h">
    <h2 class="first" id="outcome-h">{{ __('reading.outcome.title') }}</h2>
    @if($outcome['one'])
        @if($outcome['swings'][0]['shape'])
            <x-flight :shape="$outcome['swings'][0]['shape']" :says="$outcome['one']" />
        @else
            <p><b>{{ $outcome['one'] }}</b></p>
        @endif
    @else
        <dl class="facts small">
            @foreach($outcome['swings'] as $swing)
                <dt>{{ $swing['name'] }}</dt>
                <dd>
                    @if($swing['shape'])
                        <x-flight :shape="$swing['shape']" :says="$swing['says']" />
                    @else
                        {{ $swing['says'] }}
                    @endif
                </dd>
            @endforeach
        </dl>
    @endif
    <p class="quiet small">{{ __('reading.outcome.other-causes') }}</p>
    @if($outcome['rows'] !== [])
        <details>
            <summary class="quiet small">{{ __('reading.outcome.measured') }}</summary>
            <table class="rows small">
                @if(! $outcome['one'])
                    <thead>
                        <tr>
                            <th>{{ __('reading.outcome.measure') }}</th>
                            @foreach($outcome['swings'] as $swing)
                                <th class="num">{{ $swing['name'] }}</th>
                            @endforeach
                            <th class="num">±</th>
                        </tr>
                    </thead>
                @endif
                <tbody>
                    @foreach($outcome['rows'] as $row)
                        <tr>
                            <td>{{ $row['label'] }} <span class="quiet">{{ $row['unit'] }}</span></td>
                            @foreach($row['values'] as $value)
                                <td class="num">{{ $value }}</td>
                            @endforeach
                            <td class="num quiet">{{ $row['uncertainty'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </details>
    @endif
</section>
