{{-- One of several answers of the sheet, by pointer or by its key. --}}
@props(['name', 'value', 'set', 'key' => null, 'face' => null])
<label>
    <input type="radio" name="{{ $name }}" value="{{ $value }}" data-set="{{ $set }}">
    <span class="pick">{{ $slot }}@if($key)<kbd data-key="{{ $key }}">{{ $face }}</kbd>@endif</span>
</label>
