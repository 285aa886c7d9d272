{{-- The mark of the product: the strip of nine stations. --}}
<svg viewBox="0 0 74 18" aria-hidden="true">
    <path d="M1 2H73V13h-2.2l-1.8 -5l-1.8 5h-2.2h-2.2l-1.8 -5l-1.8 5h-2.2h-2.2l-1.8 -5l-1.8 5h-2.2h-2.2l-1.8 -5l-1.8 5h-2.2
        h-2.2l-1.8 -5l-1.8 5h-2.2h-2.2l-1.8 -5l-1.8 5h-2.2h-2.2l-1.8 -5l-1.8 5h-2.2h-2.2l-1.8 -5l-1.8 5h-2.2
        h-2.2l-1.8 -5l-1.8 5h-2.2V2Z" fill="currentColor" />
</svg>
