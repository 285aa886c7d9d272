{{-- One coefficient with its interval, greyed where there are too few cases to say. --}}
@props(['figure', 'digits' => 2, 'percent' => false, 'n' => null])
@php
    $show = fn (?float $v) => $v === null ? '' : ($percent ? \Core\Number\Written::fixed(100 * $v, 0) : \Core\Number\Written::fixed($v, $digits));
    $to = ($figure?->low ?? 0) < 0 ? ' to ' : '–';
    $thin = ($n !== null && $n < 10) || $figure?->low === null || ($figure->high - $figure->low) > ($percent || abs($figure->high) <= 1 ? 0.5 : 3);
@endphp
@if($figure?->estimate === null)
    <span class="thin" title="@if($figure)@said($figure->reason)@endif">undefined: @if($figure)@said($figure->reason)@else not computed @endif</span>
@else
    <span @class(['thin' => $thin]) title="{{ $thin ? 'too few cases to say' : $figure->method }}"><b>{{ $show($figure->estimate) }}{{ $percent ? ' %' : '' }}</b>@if($figure->low !== null) <span class="quiet small" style="white-space: nowrap">{{ $show($figure->low) }}{{ $to }}{{ $show($figure->high) }}</span>@endif</span>
@endif
