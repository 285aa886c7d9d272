{{-- One swing of a session: its shape leads to the Bench, and below it stands what was measured. --}}
<a href="{{ $swing->url }}"
    aria-label="{{ __('shelf.bench', ['golfer' => $session->golfer, 'club' => $session->club, 'swing' => $loop->iteration]) }}">
    <svg class="shape" viewBox="0 0 120 36" aria-hidden="true">
        <line x1="0" x2="120" y1="18" y2="18" />
        <path d="{{ $swing->shape }}" />
    </svg>
</a>
<span class="small quiet"><input type="checkbox" form="several" name="swings[]" value="{{ $swing->id }}"
        aria-label="{{ __('shelf.tick', [
            'golfer' => $session->golfer, 'club' => $session->club, 'swing' => $loop->iteration,
        ]) }}">
    {{ $swing->evidence }}@if($swing->cold) · {{ __('shelf.cold') }}@endif</span>
@if(! $swing->measured)
    <span class="small quiet">{{ __('shelf.being-measured') }}</span>
@elseif($swing->faults === [])
    <span class="small quiet">{{ __('shelf.no-fault') }}</span>
@else
    <span class="small">{{ implode(', ', $swing->faults) }}</span>
@endif
@if($swing->findings)
    <span class="grade contested" title="{{ implode(' ', $swing->findings) }}">
        {{ trans_choice('shelf.findings', count($swing->findings), ['count' => count($swing->findings)]) }}
    </span>
@endif
