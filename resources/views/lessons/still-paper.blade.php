<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="{{ $box }}" width="{{ $width }}" height="{{ $height }}">
@if($data)
<image x="0" y="0" width="{{ $width }}" height="{{ $height }}" xlink:href="{{ $data }}"/>
@endif
<g @if($mirrored) transform="scale(-1 1)" @endif>
@foreach($shapes as $s)
<path d="{{ $s->path }}" {!! $inks[$s->part] ?? '' !!}/>
@endforeach
</g>
@foreach($lines as $line)
<line x1="{{ $line[0] }}" y1="{{ $line[1] }}" x2="{{ $line[2] }}" y2="{{ $line[3] }}" stroke="#c0506c" stroke-width="{{ $stroke }}"/>
@endforeach
</svg>
