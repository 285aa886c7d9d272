<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 {{ $drawing->top() }} {{ $drawing->width }} {{ $drawing->height }}" class="drawn">
@foreach($drawing->moments as $m)
<g transform="translate({{ $m['x'] }} 0)">
@foreach($m['shapes'] as $s)
<path class="d-{{ $s->part }}" d="{{ $s->path }}" {!! $attributes[$s->part] !!}/>
@endforeach
</g>
@endforeach
@if($drawing->isWarning)
<path class="d-warning" d="M40 {{ $drawing->top() + 40 }}L{{ $drawing->width - 40 }} 90M40 90L{{ $drawing->width - 40 }} {{ $drawing->top() + 40 }}" {!! $attributes['warning'] !!}/>
@endif
</svg>
