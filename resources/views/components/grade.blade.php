<span class="grade {{ $style }}" title="{{ $says }}">{{ $grade }}</span>
