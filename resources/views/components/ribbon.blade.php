{{-- The nine stations as a notched strip; $at are the codes to point out, $label the text alternative. --}}
@props(['at' => [], 'label' => 'The nine stations', 'width' => 360])
<svg class="ribbon" viewBox="0 0 360 34" width="{{ $width }}" @if($label) role="img" aria-label="{{ $label }}" @else aria-hidden="true" @endif>
    @php($codes = ['AD', 'TB', 'LB', 'TP', 'LD', 'SD', 'IM', 'ST', 'FI'])
    <path class="strip" d="M2 2H358V14H2Z"/>
    <path class="edge" d="M2 2H358V14{{ collect(range(8, 0))->map(fn ($i) => 'H'.(20 + 40 * $i + 5).'L'.(20 + 40 * $i).' 6L'.(20 + 40 * $i - 5).' 14')->implode('') }}H2Z"/>
    @foreach($codes as $i => $code)
        @if(in_array($code, $at, true))<circle class="at" cx="{{ 20 + 40 * $i }}" cy="6" r="5"/>@endif
        <text x="{{ 20 + 40 * $i }}" y="29">{{ $code }}</text>
    @endforeach
</svg>
