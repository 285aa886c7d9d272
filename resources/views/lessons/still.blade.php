{{-- One still with its lines, on screen. --}}
<div class="still">
    @if($still['kind'] === 'film')
        <img src="{{ $still['src'] }}" alt="{{ __('note.still-alt', ['station' => $still['station']]) }}">
    @else
        <svg viewBox="{{ $still['box'] }}" role="img" aria-label="{{ __('note.still-alt', ['station' => $still['station']]) }}">
            <g @if($still['mirrored']) transform="scale(-1 1)" @endif>
                @foreach($still['shapes'] as $s)
                    <path class="d-{{ $s->part }}" d="{{ $s->path }}" />
                @endforeach
            </g>
        </svg>
    @endif
    <svg class="over" viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
        @foreach($lines as $line)
            <line x1="{{ 100 * $line[0] }}" y1="{{ 100 * $line[1] }}" x2="{{ 100 * $line[2] }}" y2="{{ 100 * $line[3] }}" vector-effect="non-scaling-stroke" />
        @endforeach
    </svg>
</div>
