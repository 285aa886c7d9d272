<x-layout :title="__('draft.page')">
    <p class="small"><a href="{{ route('codebook') }}">{{ __('codebook.page') }}</a></p>
    <h1>{{ __('draft.title', ['version' => $version]) }}</h1>
    <p class="words">{{ __('draft.says', ['version' => $basedOn]) }} <span class="quiet">{{ $changed }}</span></p>
    @if($behind)
        <div class="notice refused" role="status">
            <p>{{ __('draft.behind', ['version' => $behind['version']]) }}
                @if($behind['both'])
                    {{ __('draft.behind-both', ['names' => implode(', ', $behind['both'])]) }}
                @endif
            </p>
            <form method="post" action="{{ route('codebook.draft.rebase') }}">
                @csrf
                <button class="act second">{{ __('draft.carry-over') }}</button>
            </form>
        </div>
    @endif
    <div class="drafting">
        <nav class="draft-parts" aria-label="{{ __('draft.page') }}">
            @foreach($parts as $part)
                <details class="group" @if($loop->first) open @endif>
                    <summary><b>{{ $part['name'] }}</b> <span class="quiet small">{{ $part['says'] }}</span></summary>
                    <ul>
                        @foreach($part['rows'] as $row)
                            <li><a href="{{ $row['url'] }}">{{ $row['name'] }}</a>
                                @if($row['mark'])
                                    <span class="badge">{{ $row['mark'] }}</span>
                                @endif
                            </li>
                        @endforeach
                    </ul>
                    <form method="post" action="{{ route('codebook.draft.add', $part['part']) }}" class="add-row">
                        @csrf
                        @if($part['part'] === 'words')
                            <x-field name="key" :id="'add-'.$part['part']" :label="__('draft.add.word')" required
                                pattern="[a-z][a-z0-9\-]{1,39}" :hint="__('draft.add.hint')" list="words-there" />
                            <datalist id="words-there">
                                @foreach($part['copies'] as $key => $name)
                                    <option value="{{ $key }}">{{ $name }}</option>
                                @endforeach
                            </datalist>
                        @else
                            <x-field name="key" :id="'add-'.$part['part']" :label="__('draft.add.key')" required
                                pattern="[a-z][a-z0-9\-]{1,39}" :hint="__('draft.add.hint')" />
                            <x-choose name="copy" :id="'copy-'.$part['part']" :label="__('draft.add.copy')"
                                :of="$part['copies']" />
                        @endif
                        <button class="act second">{{ __('draft.add.button') }}</button>
                    </form>
                </details>
            @endforeach
        </nav>
        <div>
            @include('codebook.draft.changes')
            @include('codebook.draft.trial')
            @include('codebook.draft.publish')
        </div>
    </div>
</x-layout>
