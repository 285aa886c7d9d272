{{-- The curve and threshold a verdict came from. Expects $conditions. --}}
@forelse($conditions as $c)
    <figure class="why-chart">
        <figcaption>{{ $c['title'] }}: <b>{{ $c['value'] }}</b>; {{ $c['rule'] }}</figcaption>
        @if($c['chart'])
            <x-rule-chart :chart="$c['chart']" :says="$c['drawn']" />
            <p class="small quiet">{{ $c['legend'] }}</p>
        @else
            <p class="small quiet">{{ $c['definition'] }}</p>
        @endif
    </figure>
@empty
    <p class="small quiet">{{ __('bench.why.none') }}</p>
@endforelse
