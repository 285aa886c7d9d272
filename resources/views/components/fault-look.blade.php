{{-- The same simulated golfer without and with a fault; public/js/codebook/looks.js draws it when it comes into sight. --}}
@props(['fault', 'name', 'where'])
<figure class="fault-look" data-look="{{ asset("looks/$fault.json") }}" data-without="{{ asset('looks/without.json') }}">
    <div class="golfers">
        @foreach(['without', 'with'] as $golfer)
            <div>
                <h3>{{ __("codebook.look.$golfer") }}</h3>
                <canvas data-golfer="{{ $golfer }}" role="img"
                    aria-label="{{ __("codebook.look.figure-$golfer", ['fault' => $name]) }}"></canvas>
                <svg class="foot-map" data-golfer="{{ $golfer }}" viewBox="0 0 260 230" role="img"
                    aria-label="{{ __("codebook.look.feet-$golfer", ['fault' => $name]) }}"></svg>
            </div>
        @endforeach
    </div>
    <div class="through">
        <button class="plain small" type="button" data-back>{{ __('codebook.look.back', ['where' => $where]) }}</button>
        <input type="range" min="0" max="2" step="0.02" aria-label="{{ __('codebook.look.through', ['fault' => $name]) }}">
    </div>
    <p class="small" data-curve-name></p>
    <svg data-curve viewBox="0 0 560 150" role="img" aria-label="{{ __('codebook.look.curves', ['fault' => $name]) }}"></svg>
    <figcaption class="small quiet">{{ __('codebook.look.caption') }}</figcaption>
    <p class="small" data-failed hidden>{{ __('codebook.look.failed') }}</p>
</figure>
