{{-- A figure: drawn by the page, or the picture of it on paper, where there are no style sheets. --}}
@isset($pictures)
    <div class="picture">
        <img src="{{ $pictures[$name] }}" alt="{{ __('report.figure-'.$name) }}. {{ __('report.figure-'.$name.'-says') }}">
        <p class="small quiet"><b>{{ __('report.figure-'.$name) }}.</b> {{ __('report.figure-'.$name.'-says') }}</p>
    </div>
@else
    <x-forest :broad="$chart['broad']" :slim="$chart['slim']" :finding="__('report.figure-'.$name)"
        :says="__('report.figure-'.$name.'-says')" />
    <p class="small quiet">{{ __('report.figure-'.$name.'-says') }}</p>
@endisset
