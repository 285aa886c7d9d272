<x-layout :title="$person->name.' – '.$round->name">
    <p class="small"><a href="{{ route('agreement', $round) }}">{{ $round->name }}</a></p>
    <h1>{{ $title }}</h1>
    <p class="quiet lead">
        {{ implode(' ', $about) }}
        @if($n > 0)
            <a href="{{ route('agreement.letter', [$round, $person->id]) }}">{{ __('letter.link') }}</a> ·
            <a href="{{ route('agreement.record', [$round, $person->id]) }}">{{ __("agreement.person.$whose.file") }}</a>
        @endif
    </p>
    @if($n > 0)
        <div class="tiles">
            @foreach($tiles as $tile)
                <div>
                    <b>{{ $tile['value'] }}</b>{{ $tile['label'] }}<br>
                    <span class="small quiet">
                        @if($tile['figure']->estimate === null && $tile['figure']->reason)
                            @said($tile['figure']->reason)
                        @else
                            {{ $tile['note'] }}
                        @endif
                    </span>
                </div>
            @endforeach
        </div>
        <x-terms :of="['sensitivity', 'specificity', 'criterion', 'd-prime', 'brier', 'key']" />
        @include('agreement.person.faults')
        @if($calibration !== [])
            @include('agreement.person.confidence')
        @endif
        @if($advice)
            @include('agreement.person.advice')
        @endif
        @if($twice)
            <h2>{{ __('agreement.again.title') }}</h2>
            @foreach($twice as $sentence)
                <p>{{ $sentence }}</p>
            @endforeach
        @endif
        @if($surest)
            @include('agreement.person.surest')
        @endif
        @include('agreement.person.mistakes')
        @include('agreement.person.drift')
    @endif
    <h2>{{ __('agreement.person.latent.title') }}</h2>
    @foreach($withoutKey as $sentence)
        <p @class(['small quiet' => ! $loop->first])>{{ $sentence }}</p>
    @endforeach
</x-layout>
