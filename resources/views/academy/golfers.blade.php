<x-layout :title="__('golfers.page')">
    <h1>{{ trans_choice('golfers.title', $pages->total(), ['count' => $pages->total()]) }}</h1>
    <form method="get" class="filter">
        <div>
            <label class="small quiet" for="f-find">{{ __('golfers.find') }}</label>
            <input class="input" id="f-find" type="search" name="find" maxlength="80" value="{{ $filter['find'] }}">
        </div>
        <div>
            <label class="small quiet" for="f-consent">{{ __('golfers.consent-filter') }}</label>
            <div class="select">
                <select id="f-consent" name="consent">
                    @foreach(__('golfers.consent-filters') as $value => $word)
                        <option value="{{ $value === 'all' ? '' : $value }}"
                            @selected($filter['consent'] === $value)>{{ $word }}</option>
                    @endforeach
                </select>
            </div>
        </div>
        <button class="act second">{{ __('golfers.show') }}</button>
    </form>
    @if($golfers === [])
        <p class="words">{{ __($filter['find'] || $filter['consent'] ? 'golfers.none-fits' : 'golfers.none') }}</p>
    @else
        <x-scroll>
            <table class="rows">
                <thead>
                    <tr>
                        @foreach(['name', 'hand', 'limits', 'consents'] as $head)
                            <th>{{ __('golfers.heads.'.$head) }}</th>
                        @endforeach
                        <th class="num">{{ __('golfers.heads.swings') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($golfers as $g)
                        <tr @class(['quiet' => $g['quiet']])>
                            <td>
                                <input type="checkbox" form="several" name="golfers[]" value="{{ $g['id'] }}"
                                    aria-label="{{ __('golfers.several.tick', ['golfer' => $g['name']]) }}">
                                <a href="{{ route('golfers.show', $g['id']) }}">{{ $g['name'] }}</a>
                                @if($g['minor'])
                                    <span class="small under">{{ __('golfers.minor') }}</span>
                                @endif
                            </td>
                            <td>{{ $g['hand'] }}</td>
                            <td>{{ $g['limits'] }}</td>
                            <td>{{ $g['consents'] }}</td>
                            <td class="num">{{ $g['swings'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
        <x-pages :pages="$pages" words="golfers.pages" />
        <details class="group">
            <summary>{{ __('golfers.several.title') }}</summary>
            <form method="post" action="{{ route('golfers.consents') }}" id="several">
                @csrf
                @foreach($scopes as $scope)
                    <label class="tick">
                        <input type="checkbox" name="scopes[]" value="{{ $scope }}"> {{ __('golfers.scopes.'.$scope) }}
                    </label>
                @endforeach
                <div class="in-columns">
                    <x-field name="given_on" :label="__('golfers.agreed.from')" type="date" :value="$today" required />
                    <x-field name="expires_on" :label="__('golfers.agreed.until')" type="date" :value="$inAYear"
                        required />
                </div>
                <button class="act second">{{ __('golfers.several.act') }}</button>
            </form>
        </details>
    @endif
    <h2>{{ __('golfers.take-up.title') }}</h2>
    <p class="small quiet">{{ __('golfers.take-up.says', ['names' => implode(', ', $suggested)]) }}</p>
    <form method="post" action="{{ route('golfers.store') }}" class="person-form">
        @csrf
        @include('academy.golfer-facts', ['golfer' => null])
        <button class="act">{{ __('golfers.take-up.act') }}</button>
    </form>
</x-layout>
