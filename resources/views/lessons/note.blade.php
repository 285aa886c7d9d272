<x-layout :title="__('note.page')">
    <p class="small no-print">
        <a href="{{ route('prescriptions.show', $prescription) }}">{{ __('note.back') }}</a> ·
        <button type="button" class="plain" data-print>{{ __('note.print') }}</button> ·
        <a href="{{ route('prescriptions.note.pdf', $prescription) }}">{{ __('note.pdf') }}</a> ·
        <a href="{{ route('prescriptions.note.calendar', $prescription) }}">{{ __('note.ics') }}</a>
    </p>
    <article class="note">
        <p class="quiet">{{ $academy }}</p>
        @include('lessons.note-text', ['paper' => false])
    </article>
    <script type="module" src="@part('js/debrief/print.js')"></script>
</x-layout>
