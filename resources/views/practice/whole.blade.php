{{-- A case asked whole: a call on each fault, worked down by key, and the first cause. --}}
<input type="hidden" name="said" value="" data-said>
<ol class="whole-calls" data-whole>
    @foreach($rows as $row)
        <li data-row>
            <button type="button" class="plain fault" data-station="{{ $row['station'] }}">{{ $row['name'] }}</button>
            <span class="whole-call" role="radiogroup" aria-label="{{ $row['name'] }}">
                @foreach(['P' => 'present', 'A' => 'absent', 'C' => 'cannot-tell'] as $letter => $call)
                    <button type="button" role="radio" aria-checked="false" data-letter="{{ $letter }}"
                        title="{{ __("calls.$call") }}">{{ __("practice.whole.short.$call") }}</button>
                @endforeach
            </span>
        </li>
    @endforeach
</ol>
@if($options)
    <fieldset class="whole-cause" data-cause>
        <legend class="label">{{ __('practice.whole.cause') }}</legend>
        @foreach($options as $option)
            <label><input type="radio" name="cause-of" value="{{ $loop->index }}">
                <kbd>{{ $loop->iteration }}</kbd> {{ $option['label'] }}</label>
        @endforeach
    </fieldset>
@endif
<p class="small quiet">{{ __('practice.whole.keys') }}</p>
<button class="act big" data-hand-in disabled>{{ __('practice.whole.hand-in') }} <kbd>{{ __('practice.enter') }}</kbd></button>
