<p class="decision">
    <b>{{ $d->what }}</b><br>
    <span class="small quiet">{{ __('debrief.decisions.about', [
        'lies' => __('panel.following.in.'.$d->lies->value), 'who' => $d->owner->name,
        'due' => $d->due_on?->format('j M Y') ?? __('debrief.decisions.undated'),
    ]) }}
    {{ $d->done_at ? __('debrief.decisions.was-done', ['outcome' => $d->outcome]) : '' }}</span>
</p>
