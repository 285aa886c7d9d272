@if($undefined !== null)
    <span class="thin" title="{{ $undefined }}">{{ __('figures.undefined', ['why' => $undefined]) }}</span>
@else
    <span @class(['thin' => $thin]) title="{{ $hint }}"><b>{{ $estimate }}</b>@if($interval !== null) <span
        class="quiet small whole">{{ $interval }}</span>@endif</span>
@endif
