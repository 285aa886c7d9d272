{{-- Who said it: by letter, and by name once names are shown. --}}
@props(['of'])
<b class="letter">{{ $of['letter'] }}</b><span class="known"> {{ $of['name'] }}</span>
