<h2 id="examples">{{ __('definition.examples.title') }}</h2>
@if($examples)
    <p class="small quiet">{{ __('definition.examples.says') }}</p>
    <ul class="examples">
        @foreach($examples as $e)
            <li>
                <p><b>{{ $e['name'] }}</b> – {{ __($e['shows'] ? 'definition.examples.shows' : 'definition.examples.not') }}</p>
                <p>{{ $e['note'] }}
                    @if($e['key'])
                        <span class="quiet">{{ $e['key'] }}</span>
                    @endif
                </p>
                <div class="ways">
                    <form method="post" action="{{ $e['look'] }}">
                        @csrf
                        <button class="act second">{{ __('definition.examples.look') }}</button>
                    </form>
                    @if($edits)
                        <form method="post" action="{{ $e['drop'] }}">
                            @csrf
                            @method('delete')
                            <button class="plain small">{{ __('definition.examples.drop') }}</button>
                        </form>
                    @endif
                </div>
            </li>
        @endforeach
    </ul>
@else
    <p class="quiet">{{ __('definition.examples.none') }}</p>
@endif
@if($edits)
    <h3>{{ __('definition.examples.add') }}</h3>
    @if($candidates)
        <form method="post" action="{{ route('codebook.example.add', $fault['key']) }}" class="new-version">
            @csrf
            <x-choose name="recording" :label="__('definition.examples.recording')" :of="$candidates" />
            <x-choose name="shows" :label="__('definition.examples.as')" :of="[
                '1' => __('definition.examples.shows'), '0' => __('definition.examples.not'),
            ]" />
            <x-field name="note" :label="__('definition.examples.note')" required minlength="5" maxlength="300" />
            <div><button class="act second">{{ __('definition.examples.button') }}</button></div>
        </form>
    @else
        <p class="quiet">{{ __('definition.examples.no-candidates') }}</p>
    @endif
@endif
