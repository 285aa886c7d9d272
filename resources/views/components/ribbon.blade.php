{{-- The nine stations as a notched strip; $at are the codes to point out, $label the text alternative. --}}
@props(['at' => [], 'label' => null, 'width' => 360])
<svg class="ribbon" viewBox="0 0 360 34" width="{{ $width }}"
    @if($label) role="img" aria-label="{{ $label }}" @else aria-hidden="true" @endif>
    <path class="strip" d="M2 2H358V14H2Z" />
    <path class="edge" d="{{ \Core\Drawing\Ribbon::edge() }}" />
    @foreach(\Core\Drawing\Ribbon::stations() as $station)
        @if(in_array($station->text, $at, true))
            <circle class="at" cx="{{ $station->x }}" cy="6" r="5" />
        @endif
        <text x="{{ $station->x }}" y="{{ $station->y }}">{{ $station->text }}</text>
    @endforeach
</svg>
