{{-- Recordings to make cases of: what is chosen, then the newest or those looked for. Fetched anew by each search. --}}
@if($says)
    <p class="small quiet" role="status">{{ $says }}</p>
@endif
<div class="ticks">
    @foreach($recordings as $r)
        <label>
            <input type="checkbox" name="recordings[]" value="{{ $r['id'] }}" @checked($r['on'])>
            {{ $r['name'] }} <span class="quiet small">{{ $r['device'] }}</span>
        </label>
    @endforeach
</div>
<details class="group" @if($several) open @endif>
    <summary>{{ __('plan.several') }}</summary>
    @forelse($series as $s)
        <label class="line">
            <input type="checkbox" name="series[]" value="{{ $s['ids'] }}" @checked($s['on'])>
            {{ $s['name'] }} <span class="quiet small">{{ $s['about'] }}</span>
        </label>
    @empty
        <p class="quiet small">{{ __('plan.no-series') }}</p>
    @endforelse
    @foreach($pairs as $i => $pair)
        <div class="two">
            @foreach(['before', 'after'] as $end)
                <div>
                    <label class="small quiet" for="pair-{{ $i }}-{{ $end }}">
                        {{ __('plan.pair', ['which' => $pair['which'], 'end' => $end]) }}
                    </label>
                    <select class="wide" id="pair-{{ $i }}-{{ $end }}" name="pairs[{{ $i }}][{{ $end }}]">
                        <option value="">–</option>
                        @foreach($swings as $swing)
                            <option value="{{ $swing['id'] }}"
                                @selected($pair[$end] === $swing['id'])>{{ $swing['name'] }}</option>
                        @endforeach
                    </select>
                </div>
            @endforeach
        </div>
    @endforeach
    <p class="small quiet">{{ __('plan.ladder.title') }}</p>
    <div class="steps">
        @foreach($ladder as $i => $step)
            <div>
                <label class="small quiet" for="ladder-{{ $i }}">{{ $step['name'] }}</label>
                <select class="wide" id="ladder-{{ $i }}" name="ladder[{{ $i }}]">
                    <option value="">–</option>
                    @foreach($swings as $swing)
                        <option value="{{ $swing['id'] }}"
                            @selected($step['id'] === $swing['id'])>{{ $swing['name'] }}</option>
                    @endforeach
                </select>
            </div>
        @endforeach
    </div>
</details>
