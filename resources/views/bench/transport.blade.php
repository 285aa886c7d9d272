{{-- The buttons that move the clock. Expects $near: whether the picture may come near to the feet. --}}
@foreach([
    'station-back' => '⇤',
    'frame-back' => '←',
    'play' => '▶',
    'frame-on' => '→',
    'station-on' => '⇥',
    'speed' => '1',
] as $does => $face)
    <button type="button" data-do="{{ $does }}" title="{{ __("stage.do.$does.hint") }}"
        aria-label="{{ __("stage.do.$does.name") }}">{{ $face }}</button>
@endforeach
@if($near)
    <button type="button" data-do="feet" title="{{ __('stage.do.feet.hint') }}"
        aria-pressed="false">{{ __('stage.do.feet.name') }}</button>
@endif
