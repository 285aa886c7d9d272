@props(['presence'])
<span class="call {{ $presence }}">{{ __('calls.'.$presence) }}</span>
