<x-layout :title="__('prescriptions.title', ['golfer' => $golfer->pseudonym])">
    <x-slot:head>
        <script type="module" src="@part('js/lessons/lines.js')"></script>
    </x-slot:head>
    <p class="small"><a href="{{ route('lessons.show', $lesson) }}">{{ __('lessons.title', ['golfer' => $golfer->pseudonym, 'day' => $day]) }}</a></p>
    <h1>{{ __('prescriptions.title', ['golfer' => $golfer->pseudonym]) }}</h1>
    <p>{{ $seen }}
        @unless($handedOver)
            <a class="small" href="{{ route('prescriptions.create', $lesson) }}">{{ __('prescriptions.see-again') }}</a>
        @endunless
    </p>
    @if($limits)
        <p><b>{{ __('prescriptions.spare', ['limits' => $limits]) }}</b></p>
    @endif
    @if($outside)
        <p class="notice">{{ __('prescriptions.outside') }}</p>
    @endif
    <p class="notice small">{{ __('cautions.drills') }}</p>
    @if($handedOver)
        @include('lessons.handed-over')
    @else
        <h2>{{ __('prescriptions.ranked') }}</h2>
        <p class="small quiet">{{ __('prescriptions.ranked-says') }}</p>
        <form method="post" action="{{ route('prescriptions.choose', $prescription) }}">
            @csrf
            @method('put')
            <ol class="ranked">
                @foreach($first as $d)
                    @include('lessons.ranked')
                @endforeach
            </ol>
            <details class="group">
                <summary>{{ trans_choice('prescriptions.rest', count($rest), ['count' => count($rest)]) }}</summary>
                <ol class="ranked" start="{{ count($first) + 1 }}">
                    @foreach($rest as $d)
                        @include('lessons.ranked')
                    @endforeach
                </ol>
            </details>
        </form>
        @if($chosen)
            @include('lessons.plan')
        @endif
        <form method="post" action="{{ route('prescriptions.drop', $prescription) }}" class="below">
            @csrf
            @method('delete')
            <button class="plain">{{ __('prescriptions.drop') }}</button>
        </form>
    @endif
</x-layout>
