<section class="question" id="q-{{ $q['drill'] }}" aria-labelledby="n-{{ $q['drill'] }}">
    <h2 id="n-{{ $q['drill'] }}">{{ $q['name'] }}
        @if($q['chosen'])
            <span class="small quiet">{{ __('panel.judging.yours') }}</span>
        @endif
    </h2>
    <p class="small">{{ __('panel.judging.for', ['for' => $q['for']]) }}
        @if($q['not'])
            <span class="quiet">{{ __('panel.judging.not', ['not' => $q['not']]) }}</span>
        @endif
    </p>
    @if($q['lens'])
        <p class="small">{{ $q['lens'] }}</p>
    @endif
    @if($q['loads'])
        <p class="notice small">{{ $q['loads'] }}
            @if($q['refused'])
                {{ __('panel.judging.refused') }}
            @endif
        </p>
    @endif
    <form method="post" action="{{ $answer }}" class="answer" data-saved="{{ __('panel.following.answered') }}"
        data-again="{{ __('panel.following.again') }}" data-failed="{{ __('panel.following.failed') }}">
        @csrf
        <input type="hidden" name="drill" value="{{ $q['drill'] }}">
        <div class="rungs" role="group" aria-label="{{ __('panel.judging.scale') }}">
            @foreach($rungs as $rung)
                <div data-rung="{{ $rung }}">
                    <label class="small" for="s-{{ $q['drill'] }}-{{ $rung }}">{{ __("panel.advice.rungs.$rung") }}</label>
                    <input class="input" type="number" inputmode="numeric" min="1" max="9" step="1" autocomplete="off"
                        id="s-{{ $q['drill'] }}-{{ $rung }}" name="score[{{ $rung }}]" data-score
                        value="{{ $q['said'][$rung]['score'] ?? '' }}">
                </div>
            @endforeach
            <button class="act second">{{ __($q['said'] ? 'panel.following.again' : 'panel.following.save') }}</button>
        </div>
        @foreach($rungs as $rung)
            <label class="small" data-harm="{{ $rung }}">{{ __('panel.judging.harm', [
                'rung' => __("panel.advice.rungs.$rung"),
            ]) }}
                <select name="harm[{{ $rung }}]">
                    <option value="">–</option>
                    @foreach($harms as $harm)
                        <option value="{{ $harm }}"
                            @selected(($q['said'][$rung]['harm'] ?? '') === $harm)>{{ __("panel.judging.harms.$harm") }}</option>
                    @endforeach
                </select>
            </label>
        @endforeach
        <span class="small" role="status" data-says>{{ $q['said'] ? __('panel.following.answered') : '' }}</span>
    </form>
</section>
