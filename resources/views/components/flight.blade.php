{{-- Where the ball went: a small picture from above and from the side, and the words. --}}
@props(['shape', 'says'])
<figure class="flight">
    <svg viewBox="0 0 {{ $shape::WIDTH }} {{ $shape::HEIGHT }}" aria-hidden="true">
        <line class="aim" x1="48" x2="48" y1="4" y2="68" />
        <path class="way" d="{{ $shape->above }}" />
        <circle class="ball" cx="{{ $shape->endX }}" cy="{{ $shape->endY }}" r="3" />
    </svg>
    <svg viewBox="0 0 {{ $shape::WIDTH }} {{ $shape::HEIGHT }}" aria-hidden="true">
        <line class="ground" x1="2" x2="94" y1="66" y2="66" />
        <path class="way" d="{{ $shape->side }}" />
    </svg>
    <figcaption>{{ $says }}</figcaption>
</figure>
