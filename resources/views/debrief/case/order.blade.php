<h2>{{ __('debrief.order') }}</h2>
<ol class="cases">
    @foreach($order as $o)
        <li @if($o['here']) aria-current="true" @endif>
            <a href="{{ $o['url'] }}">{{ $o['name'] }}</a> <span class="small quiet">{{ $o['fault'] }}</span>
        </li>
    @endforeach
</ol>
@if($rounds !== [])
    <p class="small">
        {{ __('debrief.rounds') }}
        @foreach($rounds as $each)
            <a href="{{ $each['url'] }}" @if($each['here']) aria-current="page" @endif>{{ $each['name'] }}</a>
        @endforeach
    </p>
@endif
<p class="small quiet">{{ __('debrief.legend') }}</p>
<p class="small quiet">{{ __('debrief.how') }}</p>
