<section class="place" data-place="{{ $place['place'] }}">
    <h3><span data-place-name>{{ $place['name'] }}</span>
        <button type="button" class="plain small" data-drop-place
            @if($place['place'] === 'own') hidden @endif>{{ __('draft.row.place-drop') }}</button></h3>
    @foreach(['supported', 'contradicted'] as $member)
        <div class="rule" data-rule="{{ $member }}">
            <h4>{{ __("draft.row.$member") }}</h4>
            <textarea class="textarea as-file" rows="2"
                name="rules[{{ $place['place'] }}][{{ $member }}]" data-json
                aria-label="{{ __("draft.row.$member") }} – {{ $place['name'] }}">{{ \App\Http\Old::text("rules.{$place['place']}.$member", $place[$member]) }}</textarea>
            <p class="says" data-says></p>
        </div>
    @endforeach
</section>
