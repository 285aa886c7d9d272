{{-- What was decided of all cases. Expects $general. --}}
@if($general)
    <h2>{{ __('debrief.minutes.general') }}</h2>
    @foreach($general as $d)
        @include('debrief.decision')
    @endforeach
@endif
