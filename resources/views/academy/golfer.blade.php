<x-layout :title="$golfer->pseudonym">
    <p class="small"><a href="{{ route('golfers') }}">{{ __('golfers.page') }}</a></p>
    <h1>{{ $golfer->pseudonym }}</h1>
    <p class="quiet about">{{ $about }} ·
        <a href="{{ route('golfers.held', $golfer) }}">{{ __('golfers.held.link') }}</a></p>
    @if($person)
        <p>{{ __('golfers.is-person', ['name' => $person]) }}</p>
    @endif
    <div class="golfer">
        <section>
            <h2>{{ __('golfers.agreed.title') }}</h2>
            <table class="rows">
                <tbody>
                    @foreach($scopes as $s)
                        <tr @class(['quiet' => ! $s['holds']])>
                            <td>{{ $s['says'] }}</td>
                            <td>{{ $s['until'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <details class="group">
                <summary>{{ __('golfers.agreed.record') }}</summary>
                <form method="post" action="{{ route('golfers.consent', $golfer) }}" enctype="multipart/form-data">
                    @csrf
                    <fieldset class="field">
                        <legend class="label">{{ __('golfers.agreed.to') }}</legend>
                        @foreach($scopes as $s)
                            <label class="line">
                                <input type="checkbox" name="scopes[]" value="{{ $s['scope'] }}"
                                    @checked(in_array($s['scope'],
                                        (array) old('scopes', ['lessons', 'staff-training'])))>
                                {{ $s['says'] }}
                                <span class="quiet small">{{ __('golfers.scopes-say.'.$s['scope']) }}</span>
                            </label>
                        @endforeach
                    </fieldset>
                    <div class="in-columns">
                        <x-field name="given_on" :label="__('golfers.agreed.from')" type="date" :value="$today"
                            required />
                        <x-field name="expires_on" :label="__('golfers.agreed.until')" type="date" :value="$inAYear"
                            required />
                        <x-field name="guardian" :label="__('golfers.agreed.guardian')" maxlength="120"
                            autocomplete="off" :hint="__('golfers.agreed.guardian-hint')" />
                        <x-field name="paper" :label="__('golfers.agreed.paper')" type="file"
                            accept=".pdf,.jpg,.jpeg,.png" :hint="__('golfers.agreed.paper-hint')" />
                    </div>
                    <button class="act">{{ __('golfers.agreed.keep') }}</button>
                </form>
            </details>
            @if($agreed)
                <details class="group">
                    <summary>{{ __('golfers.withdraw.title') }}</summary>
                    <p class="small">{{ __('golfers.withdraw.says') }}</p>
                    <form method="post" action="{{ route('golfers.withdraw', $golfer) }}">
                        @csrf
                        @method('delete')
                        @foreach($scopes as $s)
                            @if($s['holds'])
                                <label class="line">
                                    <input type="checkbox" name="scopes[]" value="{{ $s['scope'] }}" checked>
                                    {{ $s['says'] }}
                                </label>
                            @endif
                        @endforeach
                        <button class="act second">{{ __('golfers.withdraw.act') }}</button>
                    </form>
                </details>
            @endif
            @if($history)
                <details class="group">
                    <summary>{{ __('golfers.agreed.history') }}</summary>
                    <ul>
                        @foreach($history as $c)
                            <li @class(['quiet' => $c['quiet']])>{{ $c['says'] }}
                                @if($c['paper'])
                                    <a href="{{ $c['paper'] }}">{{ __('golfers.agreed.form') }}</a>
                                @endif
                            </li>
                        @endforeach
                    </ul>
                </details>
            @endif
        </section>
        <section>
            <h2>{{ __('limits.title') }}</h2>
            <p class="small quiet">{{ __('limits.says') }}</p>
            @forelse($limits as $l)
                <div @class(['in-line', 'quiet' => $l['quiet']])>
                    <span>{{ $l['says'] }} <span class="small quiet">{{ $l['more'] }}</span></span>
                    @unless($l['quiet'])
                        <form method="post" action="{{ route('golfers.limits.end', [$golfer, $l['id']]) }}">
                            @csrf
                            @method('delete')
                            <button class="plain">{{ __('limits.end') }}</button>
                        </form>
                    @endunless
                </div>
            @empty
                <p>{{ __('limits.none') }}</p>
            @endforelse
            <details class="group">
                <summary>{{ __('limits.note') }}</summary>
                <form method="post" action="{{ route('golfers.limits', $golfer) }}">
                    @csrf
                    <div class="in-columns">
                        <x-choose name="region" :label="__('limits.region')" :of="$regions" />
                        <x-choose name="side" :label="__('limits.side')" :of="$sides" :none="__('limits.no-side')" />
                        <x-choose name="severity" :label="__('limits.severity')" :of="$severities" />
                        <x-field name="since" :label="__('limits.since-when')" type="date" />
                    </div>
                    <label class="line">
                        <input type="checkbox" name="is_cleared" value="1" @checked(old('is_cleared'))>
                        {{ __('limits.is-cleared') }}
                    </label>
                    <div class="in-columns">
                        <x-field name="cleared_until" :label="__('limits.cleared-for')" type="date" />
                        <x-field name="note" :label="__('limits.in-words')" maxlength="200" />
                    </div>
                    <button class="act">{{ __('limits.keep') }}</button>
                </form>
            </details>
        </section>
    </div>
    <h2>{{ __('golfers.line.title') }}</h2>
    <details class="group">
        <summary>{{ __('lessons.begin') }}</summary>
        <form method="post" action="{{ route('lessons.store', $golfer) }}" class="person-form">
            @csrf
            @include('lessons.session-said')
            <button class="act">{{ __('lessons.begin-act') }}</button>
        </form>
    </details>
    @if($line)
        <ol class="days">
            @foreach($line as $d)
                <li>
                    <span class="day quiet">{{ $d['day'] }}</span>
                    <ul>
                        @foreach($d['items'] as $i)
                            <li class="of-{{ $i['kind'] }}">
                                @if($i['url'])
                                    <a href="{{ $i['url'] }}">{{ __('golfers.line.session') }}</a>
                                @endif
                                {{ $i['says'] }}
                                @if($i['waits'])
                                    <b>{{ __('lessons.waits') }}</b>
                                @endif
                                @if($i['swings'])
                                    <ul class="swings-of">
                                        @foreach($i['swings'] as $w)
                                            <li><a href="{{ $w['url'] }}">{{ $w['name'] }}</a>
                                                <span class="quiet small">{{ $w['about'] }}</span></li>
                                        @endforeach
                                    </ul>
                                @endif
                            </li>
                        @endforeach
                    </ul>
                </li>
            @endforeach
        </ol>
    @else
        <p class="words">{{ __('golfers.line.none') }}</p>
    @endif
    <h2>{{ __('golfers.facts') }}</h2>
    <form method="post" action="{{ route('golfers.update', $golfer) }}" class="person-form">
        @csrf
        @method('put')
        <input type="hidden" name="seen" value="{{ $seen }}">
        @include('academy.golfer-facts', ['suggested' => []])
        <x-field name="limits" :label="__('golfers.limits-in-words')" :value="$golfer->limits" maxlength="200" />
        <div class="field">
            <label class="label" for="notes">{{ __('golfers.notes') }}</label>
            <textarea class="textarea" id="notes" name="notes" rows="3"
                maxlength="2000">{{ \App\Http\Old::text('notes', $golfer->notes) }}</textarea>
        </div>
        <button class="act second">{{ __('golfers.keep') }}</button>
    </form>
    <h2>{{ __('erasure.erase-golfer') }}</h2>
    <p class="words">{{ __('erasure.erase-says') }}</p>
    <form method="post" action="{{ route('golfers.erase', $golfer) }}" class="narrow">
        @csrf
        @method('delete')
        <x-field name="typed" :label="__('erasure.erase-typed', ['name' => $golfer->pseudonym])" required
            autocomplete="off" />
        <button class="act second">{{ __('erasure.erase-do') }}</button>
    </form>
</x-layout>
