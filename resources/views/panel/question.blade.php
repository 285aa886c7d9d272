<section class="question" id="q-{{ $q['fault'] }}" aria-labelledby="n-{{ $q['fault'] }}">
    <h2 id="n-{{ $q['fault'] }}"><button type="button" class="link station"
        data-station="{{ $q['station'] }}">{{ $q['station'] }}</button> {{ $q['name'] }}</h2>
    <p class="small quiet">{{ $q['lookFor'] }}</p>
    <p>{{ __('panel.following.own') }} <x-call :presence="$q['was']" /></p>
    <p><span class="quiet">{{ __('panel.following.spread') }}</span>
        @foreach($q['spread'] as $said)
            <span class="whole"><b>{{ $said['n'] }}</b> <x-call :presence="$said['presence']" /></span>
        @endforeach
    </p>
    @if($q['reasons'])
        <ul class="small reasons">
            @foreach($q['reasons'] as $r)
                <li>
                    <x-call :presence="$r['presence']" />
                    @if($r['t'] !== null)
                        <button type="button" class="link" data-seek="{{ $r['t'] }}"
                            data-of-swing="{{ $r['swing'] }}">{{ __('panel.following.pin', [
                                'on' => __('sheet.pins.'.$r['on']), 't' => number_format($r['t'], 2),
                            ]) }}</button>
                    @elseif($r['on'] !== '')
                        {{ __('sheet.pins.'.$r['on']) }}
                    @endif
                    {{ $r['reason'] }}
                </li>
            @endforeach
        </ul>
    @endif
    <form method="post" action="{{ $answer }}" class="answer" data-saved="{{ __('panel.following.answered') }}"
        data-again="{{ __('panel.following.again') }}" data-failed="{{ __('panel.following.failed') }}">
        @csrf
        <input type="hidden" name="fault" value="{{ $q['fault'] }}">
        <fieldset class="choices">
            <legend>{{ __('panel.following.now') }}</legend>
            @foreach(['present', 'absent', 'cannot-tell'] as $presence)
                <label>
                    <input type="radio" name="presence" value="{{ $presence }}" required
                        @checked(($q['answered']['presence'] ?? $q['was']) === $presence)>
                    <span class="pick"><x-call :presence="$presence" /></span>
                </label>
            @endforeach
        </fieldset>
        <label class="small quiet">{{ __('reading.severity') }}
            <select name="severity">
                <option value="">–</option>
                @foreach(__('reading.severities') as $name)
                    <option value="{{ $loop->iteration }}"
                        @selected(($q['answered']['severity'] ?? $q['severity']) === $loop->iteration)>{{ $name }}</option>
                @endforeach
            </select>
        </label>
        <fieldset class="choices">
            <legend>{{ __('panel.following.lies') }}</legend>
            @foreach($lies as $where)
                <label>
                    <input type="radio" name="lies" value="{{ $where }}" required
                        @checked(($q['answered']['lies'] ?? '') === $where)>
                    <span class="pick">{{ __('panel.following.in.'.$where) }}</span>
                </label>
            @endforeach
        </fieldset>
        <label class="small quiet" for="why-{{ $q['fault'] }}">{{ __('panel.following.reason') }}</label>
        <input class="input" id="why-{{ $q['fault'] }}" name="reason" maxlength="240"
            value="{{ $q['answered']['reason'] ?? '' }}">
        <button class="act second">{{ __($q['answered'] ? 'panel.following.again' : 'panel.following.save') }}</button>
        <span class="small" role="status" data-says>{{ $q['answered'] ? __('panel.following.answered') : '' }}</span>
    </form>
</section>
