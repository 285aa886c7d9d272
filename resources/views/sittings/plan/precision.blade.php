<h2 class="first">{{ __('plan.precision.title') }}</h2>
@if($suggested)
    <p>{{ __('plan.precision.expected') }}</p>
    <ul class="expected">
        @foreach($suggested['expected'] as $e)
            <li><b>{{ $e['width'] }}</b> {{ $e['readers'] }}</li>
        @endforeach
    </ul>
    <p class="small quiet">{{ __('plan.precision.too-few') }}</p>
@else
    <p class="words">{{ __('plan.precision.none') }}</p>
@endif
