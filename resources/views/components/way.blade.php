{{-- A word that leads somewhere, or says that it does not yet. --}}
@props(['url', 'word'])
@if($url)
    <a href="{{ $url }}">{{ $word }}</a>
@else
    <span class="quiet">{{ $word }}</span>
@endif
