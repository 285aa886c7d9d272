{{-- A shipped drill as it is drawn, with what its moments show. --}}
@props(['drill', 'small' => false])
@if(is_file(public_path("drills/$drill.svg")))
    <figure @class(['drill-drawing', 'small' => $small])>
        <img src="{{ asset("drills/$drill.svg") }}" alt="{{ implode('; ', (array) __("drills.$drill")) }}" loading="lazy">
        @unless($small)
            <figcaption><ol>
                @foreach((array) __("drills.$drill") as $moment)
                    <li>{{ $moment }}</li>
                @endforeach
            </ol></figcaption>
        @endunless
    </figure>
@endif
