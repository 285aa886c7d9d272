<x-layout :title="__('lessons.title', ['golfer' => $golfer->pseudonym, 'day' => $day])">
    <p class="small">
        @if($head)
            <a href="{{ route('golfers.show', $golfer) }}">{{ $golfer->pseudonym }}</a>
        @else
            <a href="{{ route('lessons.index') }}">{{ __('lessons.page') }}</a>
        @endif
    </p>
    <h1>{{ __('lessons.title', ['golfer' => $golfer->pseudonym, 'day' => $day]) }}</h1>
    <h2>{{ __('lessons.feel') }}</h2>
    @if($locked)
        <p class="words">“{{ $lesson->feel }}”
            <span class="quiet small">{{ __('lessons.locked', ['at' => $locked]) }}</span></p>
    @elseif($waits)
        <p class="words">{{ __('lessons.feel-says') }}
            @if($held)
                {{ trans_choice('lessons.held', $held, ['count' => $held]) }}
            @endif
        </p>
        <form method="post" action="{{ route('lessons.feel', $lesson) }}" class="person-form">
            @csrf
            <div class="field">
                <label class="label" for="feel">{{ __('lessons.feel-label') }}</label>
                <textarea class="textarea" id="feel" name="feel" rows="2" maxlength="2000"
                    required>{{ \App\Http\Old::text('feel') }}</textarea>
            </div>
            <button class="act">{{ __('lessons.lock') }}</button>
        </form>
    @else
        <p class="words">{{ __('lessons.not-asked') }}</p>
    @endif
    @if($prescriptions || $mayPrescribe)
        <h2>{{ __('lessons.prescribed') }}</h2>
        <ul>
            @foreach($prescriptions as $p)
                <li><a href="{{ $p['url'] }}">{{ $p['says'] }}</a></li>
            @endforeach
        </ul>
        @if($mayPrescribe)
            <p class="ways"><a class="act" href="{{ route('prescriptions.create', $lesson) }}">{{ __('lessons.prescribe') }}</a></p>
        @endif
    @endif
    @if($followUps)
        <h2>{{ __('lessons.followed') }}</h2>
        <ul>
            @foreach($followUps as $f)
                <li><a href="{{ $f['url'] }}">{{ $f['says'] }}</a></li>
            @endforeach
        </ul>
    @endif
    <h2>{{ __('lessons.said') }}</h2>
    <form method="post" action="{{ route('lessons.update', $lesson) }}" class="person-form">
        @csrf
        @method('put')
        <input type="hidden" name="seen" value="{{ $seen }}">
        @include('lessons.session-said', ['today' => ''])
        @if($head)
            <x-choose name="given_by" :label="__('lessons.given-by')" :of="$givers" :none="__('lessons.nobody')"
                :value="$lesson->given_by" />
        @endif
        @unless($waits)
            <input type="hidden" name="swings_listed" value="1">
            <fieldset class="field">
                <legend class="label">{{ __('lessons.swings') }}</legend>
                @forelse($swings as $s)
                    <label class="line">
                        <input type="checkbox" name="swings[]" value="{{ $s['id'] }}" @checked($s['on'])>
                        <a href="{{ $s['url'] }}">{{ $s['name'] }}</a> <span class="quiet small">{{ $s['day'] }}</span>
                    </label>
                @empty
                    <p class="quiet">{{ __('lessons.no-swings') }}</p>
                @endforelse
            </fieldset>
        @endunless
        <button class="act second">{{ __('lessons.keep') }}</button>
    </form>
    <h2 id="balls">{{ trans_choice('lessons.ball-log', count($balls), ['count' => count($balls)]) }}</h2>
    @if($balls)
        <ol class="balls">
            @foreach($balls as $b)
                <li value="{{ $b['place'] }}">
                    <x-flight :shape="$b['shape']" :says="$b['says']" />
                    <span class="quiet small">{{ implode(' · ', array_filter([$b['club'], $b['note']])) }}</span>
                    <form method="post" action="{{ route('lessons.balls.drop', [$lesson, $b['id']]) }}">
                        @csrf
                        @method('delete')
                        <button class="plain small">{{ __('lessons.drop-ball') }}</button>
                    </form>
                </li>
            @endforeach
        </ol>
        <p><a href="{{ route('lessons.balls.file', $lesson) }}">{{ __('lessons.as-file') }}</a></p>
    @endif
    <details class="group" @if($balls === []) open @endif>
        <summary>{{ __('lessons.add-ball') }}</summary>
        <p class="small quiet">{{ __('facts.ball-says') }}</p>
        <form method="post" action="{{ route('lessons.balls', $lesson) }}">
            @csrf
            <div class="in-columns">
                <x-field name="place" :label="__('lessons.number')" :value="$next" inputmode="numeric" required />
                <x-field name="club" :label="__('facts.club')" maxlength="40" />
            </div>
            @include('shelf.flight-fields', ['flight' => []])
            <x-field name="note" :label="__('lessons.note')" maxlength="200" />
            <button class="act second">{{ __('lessons.log') }}</button>
        </form>
        <form method="post" action="{{ route('lessons.balls.import', $lesson) }}" enctype="multipart/form-data"
            class="in-line below">
            @csrf
            <label class="small" for="balls-file">{{ __('lessons.from-file') }}</label>
            <input class="input file" id="balls-file" name="balls" type="file" accept=".csv,text/csv" required>
            <button class="act second">{{ __('lessons.take-in') }}</button>
        </form>
    </details>
    @unless($head)
        <details class="group">
            <summary>{{ __('lessons.next-session') }}</summary>
            <form method="post" action="{{ route('lessons.store', $golfer) }}" class="person-form">
                @csrf
                @include('lessons.session-said', ['lesson' => null, 'today' => $today])
                <button class="act">{{ __('lessons.begin-act') }}</button>
            </form>
        </details>
    @endunless
</x-layout>
