{{-- The written values of a plot's axes, with a line for each of those beside it. --}}
@props(['plot'])
@foreach($plot->beside() as $tick)
    <line class="tick" x1="{{ $plot->left() }}" x2="{{ $plot->right() }}" y1="{{ $tick->y }}" y2="{{ $tick->y }}" />
    <text class="beside" x="{{ $tick->x }}" y="{{ $tick->y }}" dy="4">{{ $tick->text }}</text>
@endforeach
@foreach($plot->beneath() as $tick)
    <text class="beneath" x="{{ $tick->x }}" y="{{ $tick->y }}">{{ $tick->text }}</text>
@endforeach
