<x-layout :title="$rule->name">
    <h1>{{ $person->name }}, {{ $rule->name }}</h1>
    <p class="quiet">{{ $about }}</p>
    <p><span class="standing big is-{{ $state }}">{{ $standing }}</span>
        @if($appealed)
            <b>{{ __('readiness.appealed') }}</b>
        @endif
    </p>
    <x-notices />
    <h2>{{ __('readiness.evidence') }}</h2>
    <p class="small quiet">{{ trans_choice('readiness.from', $cases) }} {{ __('readiness.line') }}</p>
    <ol class="rungs">
        @foreach($criteria as $c)
            <li>
                <b>{{ $c['name'] }}</b> <span class="small quiet">{{ $c['asks'] }}</span>
                @if($c['interval'])
                    <svg class="rung" viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
                        <line class="limit" x1="{{ $c['bar'] }}" x2="{{ $c['bar'] }}" y1="0" y2="12" />
                        <line class="good" x1="{{ $c['good'] }}" x2="{{ $c['good'] }}" y1="0" y2="12" />
                        <rect x="{{ $c['interval']['low'] }}" y="4" height="4"
                            width="{{ $c['interval']['high'] - $c['interval']['low'] }}" />
                        <line class="at" x1="{{ $c['at'] }}" x2="{{ $c['at'] }}" y1="1" y2="11" />
                    </svg>
                    <span><b>{{ $c['share'] }} %</b>
                        <span class="small quiet">{{ round($c['interval']['low']) }}–{{ round($c['interval']['high']) }},
                            {{ $c['of'] }}</span></span>
                @else
                    <span></span>
                    <span class="quiet">{{ $c['share'] === null ? __('readiness.nothing') : $c['share'].' %, '.$c['of'] }}</span>
                @endif
                @if($c['test'])
                    <span class="small tested">{{ $c['test'] }}</span>
                @endif
            </li>
        @endforeach
    </ol>
    @if($bars)
        <h3>{{ __('readiness.read-off') }}</h3>
        <table class="rows bars">
            <tbody>
                @foreach($bars as $bar)
                    <tr>
                        <th scope="row">{{ $bar['name'] }}</th>
                        <td class="small quiet">{{ $bar['asks'] }}</td>
                        <td>{{ $bar['says'] }}</td>
                        <td><span class="stands is-{{ $bar['verdict'] }}">{{ __("readiness.verdicts.{$bar['verdict']}") }}</span>
                            <span class="small quiet">{{ $bar['more'] }}</span></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    <h2>{{ __('readiness.test.title') }}</h2>
    @if($ended)
        <p>{{ $ended }}</p>
    @endif
    @if($test)
        <p>{{ $test['says'] }}</p>
    @elseif(! $ended)
        <p class="quiet">{{ __('readiness.test.none') }}</p>
    @endif
    @if($fresh)
        <p class="small quiet">{{ $fresh }}</p>
    @endif
    <div class="ways">
        @if($head && ! $own && ($stuck || ($test['state'] ?? '') !== 'open'))
            <form method="post" action="{{ route('readiness.begin', [$rule, $person]) }}">
                @csrf
                <button class="act">{{ __($stuck ? 'readiness.test.go-on' : 'readiness.test.begin') }}</button>
            </form>
        @endif
        @if($head && ! $own && $test)
            <form method="post" action="{{ route('readiness.end', $test['id']) }}">
                @csrf
                @method('delete')
                <button class="act second">{{ __($test['state'] === 'open' ? 'readiness.test.stop' : 'readiness.test.decline') }}</button>
            </form>
        @endif
        @if($mayAsk)
            <form method="post" action="{{ route('readiness.ask', $rule) }}">
                @csrf
                <button class="act">{{ __('readiness.test.ask') }}</button>
                <p class="small quiet">{{ __('readiness.test.wait') }}</p>
            </form>
        @endif
    </div>
    @if(($head && $may) || $mayAppeal)
        <h2>{{ __($mayAppeal ? 'readiness.decide.appeal' : 'readiness.decide.title') }}</h2>
        @if($head)
            <p>{{ __($reaches ? 'readiness.decide.reaches' : 'readiness.decide.not') }}</p>
        @endif
        <form method="post" action="{{ route('readiness.decide', [$rule, $person]) }}" class="decide">
            @csrf
            <label class="label" for="reason">{{ __($mayAppeal ? 'readiness.decide.appeal-why' : 'readiness.decide.reason') }}</label>
            <textarea class="textarea" id="reason" name="reason" rows="3" required minlength="10"
                maxlength="2000">{{ \App\Http\Old::text('reason') }}</textarea>
            @if($mayAppeal)
                <p class="ways"><button class="act" name="kind" value="appealed">{{ __('readiness.decide.appeal') }}</button></p>
            @else
                <x-field name="conditions" :label="__('readiness.decide.conditions')" maxlength="1000" />
                <p class="ways">
                    @foreach($may as $kind)
                        <button @class(['act', 'second' => ! $loop->first]) name="kind"
                            value="{{ $kind->value }}">{{ __("readiness.acts.$kind->value") }}</button>
                    @endforeach
                </p>
            @endif
        </form>
    @endif
    @if($decisions)
        <h2>{{ __('readiness.decisions.title') }}</h2>
        <ol class="decided">
            @foreach($decisions as $d)
                <li>
                    <b>{{ $d['word'] }}</b>
                    @if($d['until'])
                        {{ __('readiness.decisions.until', ['until' => $d['until']]) }}
                    @endif
                    <span class="small quiet">{{ __('readiness.decisions.by', $d) }}</span>
                    @if($d['statement'])
                        <a class="small" href="{{ $d['statement'] }}">{{ __('readiness.decisions.statement') }}</a>
                    @endif
                    <p>{{ $d['reason'] }}
                        @if($d['conditions'])
                            <br>{{ __('readiness.decisions.under', ['conditions' => $d['conditions']]) }}
                        @endif
                    </p>
                </li>
            @endforeach
        </ol>
    @endif
</x-layout>
