@if($breaks)
    <p class="big-line"><b>{{ $breaks }}</b></p>
@endif
@if($few)
    <p class="notice">{{ $few }}</p>
@endif
<h2>{{ __('followup.expected') }}</h2>
@include('lessons.changes', ['rows' => $expected])
<p class="small quiet">{{ __('followup.expected-says', $counts) }}</p>
<h2>{{ __('followup.series') }}</h2>
<div class="series-beside">
    @foreach($series as $side => $of)
        <div>
            <h3>{{ __("followup.side.$side") }}</h3>
            @foreach($of as $s)
                <a href="{{ $s['url'] }}" title="{{ $s['name'] }}"><svg viewBox="0 0 120 36" class="share" aria-label="{{ $s['name'] }}" role="img"><line x1="0" x2="120" y1="18" y2="18" /><path d="{{ $s['shape'] }}" /></svg></a>
            @endforeach
        </div>
    @endforeach
</div>
<h2>{{ __('followup.others') }}</h2>
@if($others)
    @include('lessons.changes', ['rows' => $others])
@else
    <p class="quiet">{{ __('followup.no-others') }}</p>
@endif
<p class="small quiet">{{ __('followup.others-say') }}</p>
<h2>{{ __('followup.balls.title') }}</h2>
<ul>
    @foreach($balls as $says)
        <li>{{ $says }}</li>
    @endforeach
</ul>
@if($panel)
    <h2>{{ __('followup.panel-title') }}</h2>
    <ul>
        @foreach($panel as $says)
            <li>{{ $says }}</li>
        @endforeach
    </ul>
@endif
<h2>{{ __('followup.rungs') }}</h2>
<p class="small quiet">{{ __('followup.rungs-say') }}</p>
@if($swings)
    <form method="post" action="{{ route('follow-ups.place', $followUp) }}">
        @csrf
        @method('put')
        <table class="rows slim">
            <tbody>
                @foreach($swings as $s)
                    <tr>
                        <td><a href="{{ $s['url'] }}">{{ $s['name'] }}</a>
                            @if($s['cold'])
                                <span class="quiet small">{{ __('followup.cold') }}</span>
                            @endif
                        </td>
                        <td><div class="select"><select name="rungs[{{ $s['id'] }}]" aria-label="{{ __('followup.rung-of', ['swing' => $s['name']]) }}">
                            <option value="">{{ __('followup.no-rung') }}</option>
                            @foreach($rungs as $key => $word)
                                <option value="{{ $key }}" @selected($s['rung'] === $key)>{{ $word }}</option>
                            @endforeach
                        </select></div></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <button class="act second">{{ __('followup.place') }}</button>
    </form>
@else
    <p class="quiet">{{ __('followup.no-swings') }}</p>
@endif
