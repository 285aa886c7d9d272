@if($letterhead){!! $letterhead !!}

@endif
{!! $says !!}

{!! __('letters.sign', ['academy' => $academy]) !!}
