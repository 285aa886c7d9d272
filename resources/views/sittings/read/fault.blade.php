<li class="fault" data-fault="{{ $fault['key'] }}" data-at="{{ $fault['station'] }}">
    <div class="line">
        <span class="station">{{ $fault['station'] }}</span>
        <span class="name" id="n-{{ $fault['key'] }}">{{ $fault['name'] }}</span>
        <span class="small" data-summary></span>
    </div>
    <div class="details" role="group" aria-labelledby="n-{{ $fault['key'] }}">
        <p class="small quiet">{{ $fault['lookFor'] }}
            <button type="button" class="link" data-do="define" aria-expanded="false"
                aria-controls="d-{{ $fault['key'] }}">{{ __('reading.define') }} <kbd
                    data-key="define">D</kbd></button></p>
        <dl class="facts small define" id="d-{{ $fault['key'] }}" data-definition hidden>
            @foreach($fault['facts'] as $name => $says)
                <dt>{{ $name }}</dt>
                <dd>{{ $says }}</dd>
            @endforeach
        </dl>
        <fieldset class="choices" @disabled($locked)>
            <legend class="only-heard">{{ $fault['name'] }}</legend>
            @foreach(['present' => 'P', 'absent' => 'A', 'cannot-tell' => 'C'] as $value => $face)
                <x-choice :name="'presence-'.$fault['key']" :value="$value" set="presence" :key="$value"
                    :face="$face"><x-call :presence="$value" /></x-choice>
            @endforeach
        </fieldset>
        <fieldset class="choices" data-when="present" @disabled($locked)>
            <legend>{{ __('reading.severity') }}</legend>
            @foreach(__('reading.severities') as $key => $name)
                <x-choice :name="'severity-'.$fault['key']" :value="$loop->iteration" set="severity" :key="$key"
                    :face="$loop->iteration">{{ $name }}</x-choice>
            @endforeach
        </fieldset>
        @if($isPair)
            <fieldset class="choices" data-when="present" @disabled($locked)>
                <legend>{{ __('reading.trend') }}</legend>
                @foreach(__('reading.trends') as $value => $name)
                    <x-choice :name="'trend-'.$fault['key']" :value="$value" set="trend">{{ $name }}</x-choice>
                @endforeach
                <kbd data-key="trend">Q</kbd>
            </fieldset>
        @endif
        <fieldset class="choices" data-when="present" @disabled($locked)>
            <legend>{{ __('reading.decision') }}</legend>
            @foreach(__('reading.decisions') as $value => $name)
                <x-choice :name="'decision-'.$fault['key']" :value="$value" set="decision">{{ $name }}</x-choice>
            @endforeach
            <kbd data-key="decision">W</kbd>
        </fieldset>
        <div class="pins" data-when="present">
            <span class="quiet">{{ __('reading.onset') }}</span>
            <button type="button" data-do="onset" @disabled($locked)><span data-onset>–</span>
                <kbd data-key="onset">O</kbd></button>
            <label><input type="checkbox" data-cause @disabled($locked)> {{ __('reading.cause') }}
                <kbd data-key="cause">R</kbd></label>
            <button type="button" data-do="link" @disabled($locked)>{{ __('reading.leads-to') }}
                <kbd data-key="link">B</kbd></button>
        </div>
        <div class="pins" data-when="present">
            <label class="quiet" for="r-{{ $fault['key'] }}">{{ __('reading.reaction') }}</label>
            <select id="r-{{ $fault['key'] }}" data-set="reaction" data-reaction @disabled($locked)>
                <option value="">{{ __('reading.no-reaction') }}</option>
                @foreach($outside as $value => $name)
                    <option value="{{ $value }}">{{ $name }}</option>
                @endforeach
            </select>
            <kbd data-key="reaction">4</kbd>
        </div>
        <div class="pins" data-when="absent">
            <label><input type="checkbox" data-sound @disabled($locked)> {{ __('reading.sound') }}
                <kbd data-key="sound">5</kbd></label>
        </div>
        <div class="pins" data-when="called">
            <span class="quiet">{{ __('reading.sure') }}</span>
            <button type="button" data-do="less" aria-label="{{ __('reading.less') }}" @disabled($locked)>−
                <kbd data-key="less">[</kbd></button>
            <b data-confidence>–</b>
            <button type="button" data-do="more" aria-label="{{ __('reading.more') }}" @disabled($locked)>+
                <kbd data-key="more">]</kbd></button>
        </div>
        <div class="pins" data-when="any">
            <span class="quiet">{{ __('reading.pin') }}</span>
            @foreach($pins as $on => $face)
                <button type="button" data-do="pin-{{ $on }}" @disabled($locked)
                    aria-label="{{ __('reading.pin-on', ['what' => __("sheet.pins.$on")]) }}">{{ __("sheet.pins.$on") }}
                    <kbd data-key="pin-{{ $on }}">{{ $face }}</kbd></button>
            @endforeach
        </div>
        <ul class="pin-list" data-pins></ul>
    </div>
</li>
