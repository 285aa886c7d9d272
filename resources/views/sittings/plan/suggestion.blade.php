<h2 class="first">{{ __('plan.suggest.title') }}</h2>
<form method="get" action="{{ route('rounds.plan') }}" class="suggest">
    <label>
        {{ __('plan.suggest.size') }}
        <input class="input" type="number" name="suggest" min="2" max="200" value="{{ $asked['suggest'] ?? 12 }}">
    </label>
    <label>
        {{ __('plan.suggest.share') }}
        <input class="input" type="number" name="share" min="5" max="95" value="{{ $asked['share'] }}">
    </label>
    <label>
        {{ __('plan.suggest.again') }}
        <input class="input" type="number" name="again" min="0" max="50" value="{{ $asked['again'] }}">
    </label>
    <label>
        {{ __('plan.suggest.seed') }}
        <input class="input" type="number" name="seed" min="1" max="1000000" value="{{ $asked['seed'] }}">
    </label>
    <button class="act second">{{ __('plan.suggest.do') }}</button>
</form>
@if($refused)
    <p class="notice refused" role="alert">{{ $refused }}</p>
@endif
@if($suggested)
    <p class="quiet small about">{{ $suggested['says'] }}</p>
    <div class="suggested">
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('plan.heads.fault') }}</th>
                    @foreach(['present', 'absent', 'wanted'] as $head)
                        <th class="num">{{ __('plan.heads.'.$head) }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($suggested['faults'] as $fault)
                    <tr>
                        <td>{{ $fault['name'] }}</td>
                        <td class="num">{{ $fault['present'] }}</td>
                        <td class="num">{{ $fault['absent'] }}</td>
                        <td @class(['num', 'short' => $fault['short']])>{{ $fault['wanted'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <div>
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('plan.heads.trait') }}</th>
                        <th>{{ __('plan.heads.value') }}</th>
                        <th class="num">{{ __('plan.heads.chosen') }}</th>
                        <th class="num">{{ __('plan.heads.at_hand') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($suggested['traits'] as $t)
                        <tr>
                            <td>{{ $t['trait'] }}</td>
                            <td>{{ $t['value'] }}</td>
                            <td class="num">{{ $t['chosen'] }}</td>
                            <td class="num">{{ $t['at_hand'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @if($suggested['repeats'] !== '')
                <p class="small">{{ __('plan.again', ['swings' => $suggested['repeats']]) }}</p>
            @endif
            @if($suggested['short'])
                <p class="small"><b>{{ $suggested['short'] }}</b></p>
            @endif
        </div>
    </div>
@endif
