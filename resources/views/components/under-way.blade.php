{{-- Long work: what is being done, how far it is, and the way to stop it. --}}
@props(['work'])
<div class="notice" data-waits="{{ route('works.show', $work, false) }}" role="status">
    <p>{{ __('works.doing.'.$work->kind->value) }} {{ __('works.leave') }}</p>
    <progress max="1" value="{{ $work->progress }}" data-progress></progress>
    <form method="post" action="{{ route('works.cancel', $work) }}">
        @csrf
        @method('delete')
        <button class="plain small">{{ __($work->cancelling ? 'works.stopping' : 'works.stop') }}</button>
    </form>
</div>
<script type="module" src="@part('js/work.js')"></script>
