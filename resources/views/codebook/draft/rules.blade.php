<section class="draft-group rules">
    <h2>{{ __('draft.row.rules') }}</h2>
    <p class="small quiet">{{ __('draft.row.rules-say') }}</p>
    <div class="rules-tried">
        <div data-places>
            @foreach($rules['places'] as $place)
                @include('codebook.draft.place')
            @endforeach
            <div class="more-places">
                <label class="label" for="more-place">{{ __('draft.row.place') }}</label>
                <div class="select">
                    <select id="more-place" data-more>
                        @foreach($rules['more'] as $place => $name)
                            <option value="{{ $place }}">{{ $name }}</option>
                        @endforeach
                    </select>
                </div>
                <button type="button" class="act second" data-add-place>{{ __('draft.row.place-add') }}</button>
            </div>
            <template data-place-blank>
                @include('codebook.draft.place', ['place' => [
                    'place' => '', 'name' => '', 'supported' => '', 'contradicted' => '',
                ]])
            </template>
        </div>
        <section class="trial" aria-live="polite" data-trial>
            <h3>{{ __('draft.row.trial') }}</h3>
            <p class="quiet" data-trial-says>{{ __('draft.row.trial-wait') }}</p>
        </section>
    </div>
</section>
