<section aria-labelledby="trial">
    <h2 id="trial">{{ $tried['title'] ?? __('draft.flips.heading') }}</h2>
    @if($tried)
        @unless($isTried)
            <p class="notice">{{ __('draft.tried-before') }}</p>
        @endunless
        <p class="small quiet">{{ __('draft.flips.margin') }} {{ $tried['left'] }}</p>
        @foreach($tried['groups'] as $group)
            <details class="group">
                <summary><b>{{ $group['fault'] }}</b> – {{ $group['says'] }}</summary>
                @include('codebook.draft.flips', ['rows' => $group['rows']])
            </details>
        @endforeach
    @else
        <p>{{ __('draft.not-tried', ['version' => $basedOn]) }}</p>
    @endif
    @if($work)
        <x-under-way :work="$work" />
    @else
        <form method="post" action="{{ route('codebook.draft.try') }}">
            @csrf
            <button class="act @if($isTried) second @endif">{{ __($tried ? 'draft.try-again' : 'draft.try') }}</button>
        </form>
    @endif
</section>
