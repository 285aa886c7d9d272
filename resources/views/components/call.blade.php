@props(['presence'])
<span class="call {{ $presence }}">{{ $presence === 'cannot-tell' ? 'cannot tell' : ($presence === 'none' ? 'no label' : $presence) }}</span>
