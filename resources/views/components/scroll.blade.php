{{-- What may be wider than the page: reached by keyboard, and seen to go on. --}}
<div class="scroll" tabindex="0" role="region" aria-label="{{ __('figures.beyond') }}">{{ $slot }}</div>
