<section data-case aria-labelledby="the-case">
    <h2 id="the-case">{{ __('reading.the-case.title') }}</h2>
    <p class="small">
        {{ __('reading.the-case.first-cause') }} <b data-causes>{{ __('reading.the-case.none') }}</b>
        <label class="check"><input type="checkbox" data-not-feet
            @disabled($locked)> {{ __('reading.the-case.not-feet') }}
            <kbd data-key="not-feet">0</kbd></label>
    </p>
    <div class="chain">
        <svg data-chain role="img" aria-label="{{ __('reading.the-case.chain') }}" hidden></svg>
        <ul class="small" data-links></ul>
        @unless($locked)
            <div class="pins">
                <label class="only-heard" for="link-from">{{ __('reading.the-case.from') }}</label>
                <select id="link-from" data-link-from></select>
                <span class="quiet">{{ __('reading.the-case.leads-to') }}</span>
                <label class="only-heard" for="link-to">{{ __('reading.the-case.to') }}</label>
                <select id="link-to" data-link-to></select>
                <button type="button" data-do="join">{{ __('reading.the-case.add') }}</button>
            </div>
        @endunless
    </div>
    <label class="small quiet" for="cue">{{ __('reading.the-case.cue') }} <kbd data-key="cue">N</kbd></label>
    <div class="cue">
        <input class="input" id="cue" data-cue maxlength="120" @disabled($locked)>
        <span class="small quiet" data-words>0</span>
    </div>
    <div class="two">
        <div>
            <label class="small quiet" for="drill">{{ __('reading.the-case.drill') }} <kbd
                data-key="drill">Y</kbd></label>
            <select class="wide" id="drill" data-drill @disabled($locked)>
                <option value="">{{ __('reading.the-case.no-drill') }}</option>
                @foreach($drills as $key => $drill)
                    <option value="{{ $key }}">{{ $drill['name'] }}</option>
                @endforeach
            </select>
        </div>
        <div>
            <label class="small quiet" for="stop">{{ __('reading.the-case.stop') }}</label>
            <select class="wide" id="stop" data-stop @disabled($locked)>
                <option value=""></option>
                @foreach($stops as $value => $name)
                    <option value="{{ $value }}">{{ $name }}</option>
                @endforeach
            </select>
        </div>
    </div>
    @foreach($drills as $key => $drill)
        <div class="small drill" data-drill-text="{{ $key }}" hidden>
            <p>{{ $drill['says'] }} <i>{{ $drill['far'] }}</i></p>
            <p class="quiet">{{ $drill['caution'] }}</p>
            @if($drill['harm'])
                <p class="notice refused">{{ $drill['harm'] }}</p>
            @endif
        </div>
    @endforeach
    <div class="two">
        <div>
            <label class="small quiet" for="miss">{{ __('reading.the-case.miss') }}</label>
            <select class="wide" id="miss" data-miss @disabled($locked)>
                <option value=""></option>
                @foreach($misses as $value => $name)
                    <option value="{{ $value }}">{{ $name }}</option>
                @endforeach
            </select>
        </div>
        @if($isSingle)
            <div class="pins marks">
                <span class="quiet small">{{ __('reading.the-case.own-times') }}</span>
                @foreach(['TP' => 'K', 'IM' => 'I'] as $code => $face)
                    <button type="button" data-do="mark-{{ $code }}"
                        @disabled($locked)>{{ __("reading.the-case.marks.$code") }} <b data-mark="{{ $code }}">–</b>
                        <kbd data-key="mark-{{ $code }}">{{ $face }}</kbd></button>
                @endforeach
            </div>
        @endif
    </div>
</section>
