{{-- One of several, by value and word. --}}
@props(['name', 'label', 'of', 'value' => null, 'id' => null, 'none' => null])
<div class="field">
    <label class="label" for="{{ $id ?? $name }}">{{ $label }}</label>
    <div class="select">
        <select id="{{ $id ?? $name }}" name="{{ $name }}" {{ $attributes }}>
            @if($none !== null)
                <option value="">{{ $none }}</option>
            @endif
            @foreach($of as $key => $word)
                <option value="{{ $key }}"
                    @selected(\App\Http\Old::text($name, $value) === (string) $key)>{{ $word }}</option>
            @endforeach
        </select>
    </div>
</div>
