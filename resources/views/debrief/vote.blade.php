<x-layout :title="__('debrief.votes.title')">
    <div data-voter data-state="{{ route('debriefs.state', $session, false) }}" data-step="{{ $session->step }}"
        data-part="{{ route('debriefs.vote', [$session, 'part' => 1], false) }}"
        data-failed="{{ __('debrief.votes.failed') }}" data-kept="{{ __('debrief.votes.kept') }}">
        @include('debrief.vote.part')
    </div>
    <p role="status" class="small" data-voted></p>
    <p class="small quiet">{{ __('debrief.votes.secret') }}</p>
    <script type="module" src="@part('js/debrief/voter.js')"></script>
</x-layout>
