<div class="caught">
    <p><b data-at></b> <span class="quiet" data-length></span> <a data-link hidden>{{ __('capture.on-shelf') }}</a></p>
    <form method="post" data-keep>
        @csrf
        <div class="select is-small">
            <select name="golfer" aria-label="{{ __('capture.golfer') }}" required>
                @foreach($golfers as $g)
                    <option value="{{ $g->id }}">{{ $g->pseudonym }}</option>
                @endforeach
            </select>
        </div>
        @foreach(['club' => 40, 'series' => 60] as $field => $length)
            <input class="input is-small" name="{{ $field }}" aria-label="{{ __('capture.'.$field) }}"
                placeholder="{{ __('capture.'.$field) }}" maxlength="{{ $length }}" @required($field === 'club')>
        @endforeach
        <div class="select is-small">
            <select name="swing" aria-label="{{ __('facts.kind') }}">
                @foreach($kinds as $kind => $word)
                    <option value="{{ $kind }}">{{ $word }}</option>
                @endforeach
            </select>
        </div>
        <details>
            <summary class="small">{{ __('capture.more') }}</summary>
            <input class="input is-small" name="shape" aria-label="{{ __('facts.shape') }}" maxlength="40"
                placeholder="{{ __('facts.shape') }}">
            <input class="input is-small" name="effort_pct" aria-label="{{ __('facts.effort') }}"
                inputmode="numeric" placeholder="{{ __('facts.effort') }}">
            <div class="select is-small">
                <select name="has_ball" aria-label="{{ __('facts.has-ball') }}">
                    <option value="">{{ __('facts.unknown') }}</option>
                    @foreach($balls as $ball => $word)
                        <option value="{{ $ball }}">{{ $word }}</option>
                    @endforeach
                </select>
            </div>
            <label class="line small"><input type="checkbox" name="is_cold" value="1"> {{ __('facts.cold') }}</label>
        </details>
        <button class="act">{{ __('capture.keep') }}</button>
    </form>
    <form method="post" data-leave>
        @csrf
        @method('delete')
        <button class="link">{{ __('capture.leave') }}</button>
    </form>
</div>
