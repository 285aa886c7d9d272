<fieldset>
    <legend class="label">{{ __('plan.recordings') }}</legend>
    <div class="ticks">
        @foreach($recordings as $r)
            <label>
                <input type="checkbox" name="recordings[]" value="{{ $r['id'] }}" @checked($r['on'])>
                {{ $r['name'] }} <span class="quiet small">{{ $r['device'] }}</span>
            </label>
        @endforeach
    </div>
    @if($again)
        <p class="label small">{{ __('plan.shown-again') }}</p>
        @foreach(['1', '0'] as $waits)
            <label class="line">
                <input type="radio" name="waits" value="{{ $waits }}" @checked(old('waits', '1') === $waits)>
                {{ __('plan.waits.'.$waits) }}
            </label>
        @endforeach
        @foreach($again as $r)
            <label class="line">
                <input type="checkbox" name="repeats[]" value="{{ $r['id'] }}" checked> {{ $r['name'] }}
            </label>
        @endforeach
    @endif
    <details class="group" @if(old('series') || old('pairs.0.before')) open @endif>
        <summary>{{ __('plan.several') }}</summary>
        @forelse($series as $s)
            <label class="line">
                <input type="checkbox" name="series[]" value="{{ $s['ids'] }}" @checked($s['on'])>
                {{ $s['name'] }} <span class="quiet small">{{ $s['about'] }}</span>
            </label>
        @empty
            <p class="quiet small">{{ __('plan.no-series') }}</p>
        @endforelse
        @foreach($pairs as $i => $which)
            <div class="two">
                @foreach(['before', 'after'] as $end)
                    <div>
                        <label class="small quiet" for="pair-{{ $i }}-{{ $end }}">
                            {{ __('plan.pair', ['which' => $which, 'end' => $end]) }}
                        </label>
                        <select class="wide" id="pair-{{ $i }}-{{ $end }}" name="pairs[{{ $i }}][{{ $end }}]">
                            <option value="">–</option>
                            @foreach($swings as $swing)
                                <option value="{{ $swing['id'] }}"
                                    @selected(old("pairs.$i.$end") === (string) $swing['id'])>{{ $swing['name'] }}</option>
                            @endforeach
                        </select>
                    </div>
                @endforeach
            </div>
        @endforeach
    </details>
</fieldset>
