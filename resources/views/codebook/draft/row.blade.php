<x-layout :title="__('draft.row.title', ['of' => $of, 'name' => $name])">
    @if($rules)
        <x-slot:head>
            <x-words :of="['draft.builder', 'draft.row', 'draft.flips', 'remarks.op']" />
            <script type="application/json" id="vocabulary">@json($rules['vocabulary'])</script>
            <script type="module" src="@part('js/codebook/rules.js')"></script>
        </x-slot:head>
    @endif
    <p class="small"><a href="{{ route('codebook.draft') }}">{{ __('draft.row.draft', ['version' => $version]) }}</a></p>
    <h1>{{ __('draft.row.title', ['of' => $of, 'name' => $name]) }}
        <span class="quiet small">{{ __('draft.row.key', ['key' => $key]) }}</span></h1>
    <form method="post" action="{{ route('codebook.draft.save', [$part, $key]) }}" class="draft-row"
        @if($rules) data-rules data-look="{{ route('codebook.draft.look', $key) }}" @endif>
        @csrf
        @method('put')
        <input type="hidden" name="revision" value="{{ $revision }}">
        @if($rules)
            @include('codebook.draft.rules')
        @endif
        @foreach($groups as $group)
            <section class="draft-group">
                @if($group['title'])
                    <h2>{{ $group['title'] }}</h2>
                @endif
                <div @class(['draft-fields', 'pairs' => $group['pairs']])>
                    @foreach($group['fields'] as $f)
                        @include('codebook.draft.field')
                    @endforeach
                </div>
            </section>
        @endforeach
        @if($sights)
            <section class="draft-group">
                <h2>{{ __('draft.row.sights') }}</h2>
                <p class="small quiet">{{ __('draft.row.sights-say') }}</p>
                @foreach($sights['rows'] as $sight)
                    <details class="group">
                        <summary>{{ $sight['title'] }}</summary>
                        <div class="draft-fields">
                            @foreach($sight['fields'] as $f)
                                @include('codebook.draft.field')
                            @endforeach
                        </div>
                    </details>
                @endforeach
            </section>
        @endif
        @if($bands)
            @include('codebook.draft.bands')
        @endif
        <div class="stays"><button class="act">{{ __('draft.row.save') }}</button></div>
    </form>
    <form method="post" action="{{ route('codebook.draft.remove', [$part, $key]) }}">
        @csrf
        @method('delete')
        <button class="plain small">{{ __('draft.take-out') }}</button>
    </form>
</x-layout>
