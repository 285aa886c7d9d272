{{-- Decisions of debriefs that are not done. Expects $decisions as OpenDecisions gives them. --}}
@if($decisions)
    <h2>{{ trans_choice('debrief.decisions.today', count($decisions), ['count' => count($decisions)]) }}</h2>
    @foreach($decisions as $d)
        <div class="decision">
            <p><b>{{ $d['what'] }}</b><br><span class="small quiet">{{ $d['says'] }}</span>
                @if($d['late'])
                    <span class="badge">{{ __('debrief.decisions.overdue') }}</span>
                @endif
            </p>
            <form method="post" action="{{ route('decisions.done', $d['id']) }}" class="ruling">
                @csrf
                <div class="reason">
                    <label class="small quiet" for="o{{ $d['id'] }}">{{ __('debrief.decisions.outcome') }}</label>
                    <input class="input" id="o{{ $d['id'] }}" name="outcome" maxlength="400">
                </div>
                <button class="act second">{{ __('debrief.decisions.finish') }}</button>
            </form>
        </div>
    @endforeach
@endif
