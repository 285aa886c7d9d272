<section class="draft-group">
    <h2>{{ __('draft.bands.title') }}</h2>
    <p class="small quiet">{{ __('draft.bands.hint') }}</p>
    @foreach($bands['tables'] as $table)
        <h3>{{ $table['title'] }}</h3>
        <table class="rows bands-edited">
            <thead>
                <tr>
                    <th>{{ __('draft.bands.measure') }}</th>
                    <th>{{ __('draft.bands.low') }}</th>
                    <th>{{ __('draft.bands.high') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach($table['rows'] as $row)
                    <tr>
                        <td>{{ $row['name'] }} <span class="quiet small">{{ $row['unit'] }}</span></td>
                        @foreach(['low', 'high'] as $end)
                            <td><input class="input" inputmode="decimal" name="{{ $row['field'] }}[{{ $end }}]"
                                value="{{ $row[$end] }}"
                                aria-label="{{ $row['name'] }}, {{ __("draft.bands.$end") }}"></td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endforeach
    <div class="new-band">
        <x-choose name="new_band[measure]" id="new-band" :label="__('draft.bands.new')" :of="$bands['measures']"
            :none="__('draft.fields.none')" />
        <x-choose name="new_band[club]" id="new-band-club" :label="__('draft.bands.new-club')" :of="$bands['clubs']"
            :none="__('draft.bands.any')" />
        <x-field name="new_band[low]" id="new-band-low" :label="__('draft.bands.low')" inputmode="decimal" />
        <x-field name="new_band[high]" id="new-band-high" :label="__('draft.bands.high')" inputmode="decimal" />
    </div>
</section>
