{{-- A labelled line of a form, with what was filled in before. --}}
@props(['name', 'label', 'type' => 'text', 'value' => null, 'hint' => null, 'id' => null])
<div class="field">
    <label class="label" for="{{ $id ?? $name }}">{{ $label }}</label>
    <input class="input" id="{{ $id ?? $name }}" name="{{ $name }}" type="{{ $type }}"
        @unless($type === 'password') value="{{ \App\Http\Old::text($name, $value) }}" @endunless
        @if($hint) aria-describedby="{{ $id ?? $name }}-hint" @endif {{ $attributes }}>
    @if($hint)
        <p class="small quiet" id="{{ $id ?? $name }}-hint">{{ $hint }}</p>
    @endif
</div>
