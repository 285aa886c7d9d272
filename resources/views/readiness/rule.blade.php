<x-layout :title="$rule?->name ?? __('readiness.rule.make')">
    <h1>{{ $rule?->name ?? __('readiness.rule.make') }}</h1>
    @if($rule)
        <p class="quiet">{{ $about }}</p>
    @endif
    <x-notices />
    @if($rule?->retired_at)
        <p class="notice">{{ __('readiness.rule.old') }}</p>
    @endif
    @if($takes)
        <h2>{{ __('readiness.rule.takes') }}</h2>
        <p class="small quiet">{{ __('readiness.rule.takes-says') }}</p>
        <x-scroll :label="__('readiness.rule.takes')">
            <table class="rows plain-rows">
                <thead>
                    <tr>
                        <th></th>
                        <th class="num">{{ __('readiness.rule.fixed') }}</th>
                        <th class="num">{{ __('readiness.rule.at-bar') }}</th>
                        <th class="num">{{ __('readiness.rule.at-good') }}</th>
                        <th class="num">{{ __('readiness.rule.most') }}</th>
                        <th class="num">{{ __('readiness.rule.have') }}</th>
                        <th></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($takes as $t)
                        <tr>
                            <th scope="row">{{ $t['name'] }}
                                <span class="small quiet">{{ __('readiness.rule.alike', $t) }}</span></th>
                            <td class="num">{{ $t['fixed'] }}</td>
                            <td class="num">{{ $t['bar'] }}</td>
                            <td class="num">{{ $t['good'] }}</td>
                            <td class="num">{{ $t['most'] }}</td>
                            <td class="num">{{ $t['golfers'] }}</td>
                            <td class="small">{{ __($t['enough'] ? 'readiness.rule.enough' : 'readiness.rule.short') }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
        <h2>{{ __('readiness.rule.staff') }}</h2>
        <p class="small quiet">{{ __('readiness.rule.staff-says') }}</p>
        <x-scroll :label="__('readiness.rule.staff')">
            <table class="rows plain-rows">
                <thead>
                    <tr>
                        <th>{{ __('readiness.person') }}</th>
                        @foreach($takes as $t)
                            <th>{{ $t['name'] }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach($staff as $row)
                        <tr>
                            <th scope="row"><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></th>
                            @foreach($row['cells'] as $cell)
                                <td>{{ $cell['says'] }}
                                    @if($cell['side'])
                                        <span class="small quiet">{{ __("readiness.rule.sides.{$cell['side']}") }}</span>
                                    @endif
                                </td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
    @endif
    @if(! $rule?->retired_at)
        <form method="post" class="rule-form"
            action="{{ $rule ? route('readiness.rules.update', $rule) : route('readiness.rules.store') }}">
            @csrf
            @if($rule)
                @method('put')
            @endif
            <h2>{{ __('readiness.rule.itself') }}</h2>
            <div class="fields">
                <x-field name="name" :label="__('readiness.rule.name')" :value="$name" required maxlength="60" />
                <x-choose name="device" :label="__('readiness.rule.device')" :of="$devices" :value="$device" />
                <x-choose name="lens" :label="__('readiness.rule.lens')" :of="$lenses" :value="$lens" />
                <x-field name="months" :label="__('readiness.rule.months')" type="number" min="1" max="60" :value="$months" />
            </div>
            <h2>{{ __('readiness.rule.criteria') }}</h2>
            <p class="small quiet">{{ __('readiness.rule.criteria-says') }}</p>
            @foreach($criteria as $c)
                <fieldset class="criterion">
                    <div class="fields">
                        <x-field name="criteria[{{ $c['i'] }}][name]" id="name-{{ $c['i'] }}"
                            :label="__('readiness.rule.group')" :value="$c['name']" maxlength="60" />
                        <x-choose name="criteria[{{ $c['i'] }}][kind]" id="kind-{{ $c['i'] }}"
                            :label="__('readiness.rule.kind')" :of="$kinds" :value="$c['kind']" />
                        <x-field name="criteria[{{ $c['i'] }}][bar]" id="bar-{{ $c['i'] }}" type="number" min="1" max="98"
                            :label="__('readiness.rule.bar')" :value="$c['bar']" />
                        <x-field name="criteria[{{ $c['i'] }}][good]" id="good-{{ $c['i'] }}" type="number" min="2" max="99"
                            :label="__('readiness.rule.good')" :value="$c['good']" />
                    </div>
                    <details @if($c['faults'] === [] && $c['i'] === 0) open @endif>
                        <summary>{{ __('readiness.rule.faults') }}:
                            {{ trans_choice('readiness.rule.chosen', count($c['faults'])) }}</summary>
                        <div class="faults-of">
                            @foreach($faults as $key => $word)
                                <label><input type="checkbox" name="criteria[{{ $c['i'] }}][faults][]" value="{{ $key }}"
                                    @checked(in_array($key, $c['faults'], true))> {{ $word }}</label>
                            @endforeach
                        </div>
                    </details>
                </fieldset>
            @endforeach
            <h2>{{ __('readiness.rule.bars') }}</h2>
            <table class="rows bars">
                <tbody>
                    @foreach($bars as $bar)
                        <tr>
                            <th scope="row"><label><input type="checkbox" name="bars[{{ $bar['kind'] }}][asked]" value="1"
                                @checked($bar['asked'])> {{ $bar['name'] }}</label></th>
                            <td><input class="input short" type="number" min="0" max="10000" name="bars[{{ $bar['kind'] }}][limit]"
                                value="{{ $bar['limit'] }}" aria-label="{{ $bar['name'] }}: {{ __('readiness.rule.limit') }}"></td>
                            <td class="small quiet">{{ $bar['unit'] }}</td>
                            <td>
                                @if($bar['counts'])
                                    <input class="input short" type="number" min="0" max="1000" name="bars[{{ $bar['kind'] }}][of]"
                                        value="{{ $bar['of'] }}" aria-label="{{ $bar['name'] }}: {{ __('readiness.rule.of') }}">
                                @endif
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <p class="ways"><button class="act">{{ __($rule ? 'readiness.rule.change' : 'readiness.rule.keep') }}</button></p>
        </form>
        @if($rule)
            <form method="post" action="{{ route('readiness.rules.retire', $rule) }}">
                @csrf
                @method('delete')
                <button class="plain small">{{ __('readiness.rule.retire') }}</button>
            </form>
        @endif
    @endif
    @if(count($versions) > 1)
        <h2>{{ __('readiness.rule.versions') }}</h2>
        <ul>
            @foreach($versions as $v)
                <li>
                    @if($v['now'])
                        {{ __('readiness.rule.version', $v) }}
                    @else
                        <a href="{{ $v['url'] }}">{{ __('readiness.rule.version', $v) }}</a>
                    @endif
                </li>
            @endforeach
        </ul>
    @endif
</x-layout>
