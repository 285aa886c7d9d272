{{-- One thing a form of the draft asks: App\Codebook\Pages\Field. --}}
@if($f->kind === 'ticks')
    <fieldset @class(['field', 'ticks', 'many' => $f->hasMany()])>
        <legend class="label">{{ $f->label }}</legend>
        @foreach($f->of as $value => $word)
            <label><input type="checkbox" name="{{ $f->name }}[]" value="{{ $value }}"
                @checked(in_array((string) $value, \App\Http\Old::texts($f->path(), $f->value), true))> {{ $word }}</label>
        @endforeach
        @if($f->hint)
            <p class="small quiet">{{ $f->hint }}</p>
        @endif
    </fieldset>
@elseif($f->kind === 'check')
    <div class="field">
        <label><input type="checkbox" name="{{ $f->name }}" value="1"
            @checked(\App\Http\Old::ticked($f->path(), $f->value))> {{ $f->label }}</label>
        @if($f->hint)
            <p class="small quiet">{{ $f->hint }}</p>
        @endif
    </div>
@else
    <div class="field">
        <label class="label" for="{{ $f->id() }}">{{ $f->label }}</label>
        @if($f->kind === 'choose')
            <div class="select">
                <select id="{{ $f->id() }}" name="{{ $f->name }}">
                    @foreach($f->of as $value => $word)
                        <option value="{{ $value }}"
                            @selected(\App\Http\Old::text($f->path(), $f->value) === (string) $value)>{{ $word }}</option>
                    @endforeach
                </select>
            </div>
        @elseif($f->kind === 'text')
            <input class="input" id="{{ $f->id() }}" name="{{ $f->name }}"
                value="{{ \App\Http\Old::text($f->path(), $f->value) }}">
        @else
            <textarea class="textarea" id="{{ $f->id() }}" name="{{ $f->name }}"
                rows="{{ $f->kind === 'lines' ? 4 : 2 }}">{{ \App\Http\Old::text($f->path(), $f->value) }}</textarea>
        @endif
        @if($f->hint)
            <p class="small quiet">{{ $f->hint }}</p>
        @endif
    </div>
@endif
