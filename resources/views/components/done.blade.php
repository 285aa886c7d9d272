{{-- How much of something is done. --}}
@props(['done', 'of', 'label' => null])
<progress class="done" value="{{ $done }}" max="{{ max(1, $of) }}"
    aria-label="{{ $label ?? __('rounds.done', ['done' => $done, 'of' => $of]) }}">{{ $done }} / {{ $of }}</progress>
