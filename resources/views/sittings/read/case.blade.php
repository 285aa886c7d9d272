<section data-case aria-labelledby="the-case">
    <h2 id="the-case">{{ __('reading.the-case.title') }}</h2>
    <p class="small">
        {{ __('reading.the-case.first-cause') }} <b data-causes>{{ __('reading.the-case.none') }}</b>
    </p>
    <ul class="small" data-chosen></ul>
    @unless($locked)
        <div class="pins">
            <label class="only-heard" for="outside">{{ __('reading.the-case.outside') }}</label>
            <select id="outside" data-outside>
                <option value="">{{ __('reading.the-case.outside') }} …</option>
                {{ $outsideOptions }}
            </select>
            <kbd data-key="outside">0</kbd>
        </div>
    @endunless
    <p class="cue" data-other-cause hidden>
        <label class="only-heard" for="other-cause">{{ __('reading.the-case.other') }}</label>
        <input class="input" id="other-cause" data-other maxlength="60" placeholder="{{ __('reading.the-case.other') }}"
            @disabled($locked)>
    </p>
    @if($breaks)
        <fieldset class="choices" @disabled($locked)>
            <legend>{{ __('reading.the-case.breaks') }}</legend>
            @foreach($breaks as $value => $name)
                <label><input type="radio" name="breaks" value="{{ $value }}" data-breaks> {{ $name }}</label>
            @endforeach
        </fieldset>
    @endif
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
            @if($drill['loads'] !== '')
                <p class="notice">{{ $drill['loads'] }}</p>
            @endif
            <p class="quiet">{{ $drill['caution'] }}</p>
            @if($drill['harm'])
                <p class="notice refused">{{ $drill['harm'] }}</p>
            @endif
        </div>
    @endforeach
    <fieldset class="misses" @disabled($locked)>
        <legend class="small quiet">{{ __('reading.the-case.misses') }} <kbd data-key="misses">6</kbd></legend>
        <ul>
            @foreach($misses as $value => $name)
                <li data-miss="{{ $value }}">
                    <label><input type="checkbox" data-expect> {{ $name }}</label>
                    <select data-likely aria-label="{{ __('reading.the-case.likely', ['miss' => $name]) }}" hidden>
                        @foreach(range(10, 100, 10) as $percent)
                            <option value="{{ $percent }}">{{ $percent }} %</option>
                        @endforeach
                    </select>
                </li>
            @endforeach
        </ul>
        <p class="small quiet" data-no-miss></p>
    </fieldset>
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
</section>
