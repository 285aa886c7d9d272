<p>{{ __('prescriptions.handed-over', ['at' => $handedOver, 'by' => $prescription->prescriber->name]) }}</p>
<p class="ways">
    <a class="act" href="{{ route('prescriptions.note', $prescription) }}">{{ __('note.open') }}</a>
    <a class="act second" href="{{ route('prescriptions.note.pdf', $prescription) }}">{{ __('note.pdf') }}</a>
    <a class="act second" href="{{ route('prescriptions.note.calendar', $prescription) }}">{{ __('note.ics') }}</a>
</p>
@if($against)
    <p class="notice"><b>{{ __('prescriptions.against-then') }}</b> {{ implode('; ', $against) }}.
        {{ __('prescriptions.reason-then', ['reason' => $prescription->reason]) }}</p>
@endif
@if($chosen)
    <h2>{{ $chosen['name'] }}</h2>
    <x-drill-drawing :drill="$chosen['key']" />
@endif
<h3>{{ __('prescriptions.expected.title') }}</h3>
@include('lessons.expected')
<h2>{{ __('followup.list') }}</h2>
@if($followUps)
    <ul>
        @foreach($followUps as $f)
            <li><a href="{{ $f['url'] }}">{{ $f['day'] }}</a> <span class="quiet">{{ $f['says'] }}</span></li>
        @endforeach
    </ul>
@endif
@if($sessions)
    <form method="post" action="{{ route('follow-ups.store', $prescription) }}" class="in-line">
        @csrf
        <x-choose name="session" :label="__('followup.which')" :of="$sessions" />
        <button class="act">{{ __('followup.begin') }}</button>
    </form>
@else
    <p class="quiet">{{ __('followup.no-session') }}</p>
@endif
