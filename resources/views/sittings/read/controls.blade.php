@foreach($choices as $set => $choice)
    <fieldset class="choices" @if($choice['when']) data-when="{{ $choice['when'] }}" @endif @disabled($locked)>
        @if($choice['legend'] === null)
            <legend class="only-heard" data-name></legend>
        @else
            <legend>{{ $choice['legend'] }}</legend>
        @endif
        @foreach($choice['options'] as $option)
            <label>
                <input type="radio" name="{{ $set }}" value="{{ $option['value'] }}"
                    data-set="{{ $set }}">
                <span class="pick">@if($set === 'presence')<span
                    class="call {{ $option['value'] }}">{{ $option['face'] }}</span>@else{{ $option['face'] }}@endif
                    @if($option['key'])<kbd
                    data-key="{{ $option['key'] }}">{{ $option['press'] }}</kbd>@endif</span>
            </label>
        @endforeach
        @if($choice['press'])
            <kbd data-key="{{ $set }}">{{ $choice['press'] }}</kbd>
        @endif
    </fieldset>
@endforeach
<div class="pins" data-when="present">
    <span class="quiet">{{ __('reading.onset') }}</span>
    <button type="button" data-do="onset" @disabled($locked)><span data-onset>–</span>
        <kbd data-key="onset">O</kbd></button>
    <label><input type="checkbox" data-cause @disabled($locked)> {{ __('reading.cause') }}
        <kbd data-key="cause">R</kbd></label>
    <button type="button" data-do="link" @disabled($locked)>{{ __('reading.leads-to') }}
        <kbd data-key="link">B</kbd></button>
</div>
<div class="pins" data-when="present">
    <label class="quiet" for="reaction">{{ __('reading.reaction') }}</label>
    <select id="reaction" data-set="reaction" data-reaction @disabled($locked)>
        <option value="">{{ __('reading.no-reaction') }}</option>
        {{ $outsideOptions }}
    </select>
    <kbd data-key="reaction">4</kbd>
</div>
<div class="pins" data-when="absent">
    <label><input type="checkbox" data-sound @disabled($locked)> {{ __('reading.sound') }}
        <kbd data-key="sound">5</kbd></label>
</div>
<div class="pins" data-when="called">
    <span class="quiet">{{ __('reading.sure') }}</span>
    <button type="button" data-do="less" aria-label="{{ __('reading.less') }}" @disabled($locked)>−
        <kbd data-key="less">[</kbd></button>
    <b data-confidence>–</b>
    <button type="button" data-do="more" aria-label="{{ __('reading.more') }}" @disabled($locked)>+
        <kbd data-key="more">]</kbd></button>
</div>
<div class="pins" data-when="any">
    <span class="quiet">{{ __('reading.pin') }}</span>
    @foreach($pins as $on => $pin)
        <button type="button" data-do="pin-{{ $on }}" @disabled($locked)
            aria-label="{{ $pin['says'] }}">{{ $pin['name'] }}
            <kbd data-key="pin-{{ $on }}">{{ $pin['press'] }}</kbd></button>
    @endforeach
</div>
<ul class="pin-list" data-pins></ul>
