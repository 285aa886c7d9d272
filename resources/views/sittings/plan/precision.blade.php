<h2 class="first">{{ __('plan.precision.title') }}</h2>
<div data-forecast="{{ route('rounds.forecast') }}" aria-live="polite"></div>
@if($suggested)
    <p>{{ __('plan.precision.expected') }}</p>
    <ul class="expected">
        @foreach($suggested['expected'] as $e)
            <li><b>{{ $e['width'] }}</b> {{ $e['readers'] }}</li>
        @endforeach
    </ul>
    <p class="small quiet">{{ __('plan.precision.too-few') }}</p>
@else
    <p class="words small quiet">{{ __('plan.precision.none') }}</p>
@endif
