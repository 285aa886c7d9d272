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
        <button class="act">{{ __('capture.keep') }}</button>
    </form>
    <form method="post" data-leave>
        @csrf
        @method('delete')
        <button class="link">{{ __('capture.leave') }}</button>
    </form>
</div>
