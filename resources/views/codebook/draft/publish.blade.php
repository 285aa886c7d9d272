<section aria-labelledby="publish">
    <h2 id="publish">{{ __('draft.publish.title') }}</h2>
    <p class="small quiet">{{ __('draft.publish.after') }}</p>
    @if($mayPublish)
        <form method="post" action="{{ route('codebook.draft.publish') }}" class="new-version">
            @csrf
            <input type="hidden" name="revision" value="{{ $revision }}">
            <x-field name="version" :label="__('draft.publish.version')" :value="$version" required maxlength="20"
                pattern="[\w.\-]{1,20}" />
            <x-field name="note" :label="__('draft.publish.note')" required minlength="5" maxlength="500" />
            <div><button class="act">{{ __('draft.publish.button') }}</button></div>
        </form>
    @else
        <p class="quiet">{{ __('draft.publish.wait') }}</p>
    @endif
    <form method="post" action="{{ route('codebook.draft.drop') }}">
        @csrf
        @method('delete')
        <button class="plain small">{{ __('draft.lay-aside') }}</button>
    </form>
</section>
