<div class="sheet-head">
    <div role="group" aria-label="{{ __('reading.way') }}" class="way">
        @foreach(__('sheet.ways') as $way => $name)
            <button type="button" data-way="{{ $way }}"
                aria-pressed="{{ $way === 'stations' ? 'true' : 'false' }}">{{ $name }}</button>
        @endforeach
    </div>
    <button class="plain small" type="button" data-do="help">{{ __('reading.keys') }} <kbd>?</kbd></button>
</div>
<div class="sheet-head">
    <span><b data-count>0</b> {{ __('reading.called', ['count' => count($faults)]) }}</span>
    <span class="saved" data-saved role="status" data-state="saved">{{ $state }}</span>
</div>
<div data-conflicts role="alert"></div>
<nav class="walk" aria-label="{{ __('reading.stations') }}" data-walk>
    @foreach($stations as $code => $name)
        <button type="button" data-walk-to="{{ $code }}" title="{{ ucfirst($name) }}">{{ $code }}</button>
    @endforeach
    <button type="button" data-walk-to="case">{{ __('reading.case') }}</button>
</nav>
