<p class="small quiet">
    @foreach(['sensitivity' => 'present', 'specificity' => 'absent'] as $series => $mark)
        <span class="call {{ $mark }}">{{ __('agreement.'.$series) }}</span>: {{ __('agreement.legend.'.$series) }}.
    @endforeach
    {{ __('agreement.legend.how') }}
</p>
<x-terms :of="['sensitivity', 'specificity', 'criterion', 'brier', 'interval']" />
