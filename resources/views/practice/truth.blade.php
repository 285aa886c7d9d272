<div role="status" @class(['truth', 'is-wrong' => ! $truth['right']])>
    <h2>{{ $truth['head'] }}</h2>
    <p>{{ $truth['panel'] }}</p>
    <p>{{ $truth['measured'] }}</p>
    @if($truth['cannot'])
        <p class="small">{{ $truth['cannot'] }}</p>
    @endif
</div>
@if($next)
    <p class="hand-in"><a class="act big" href="{{ $next }}" data-next>{{ __('practice.next') }}
        <kbd data-key="next-question">{{ __('practice.enter') }}</kbd></a></p>
@endif
@if($truth['conditions'])
    @include('bench.why', ['conditions' => $truth['conditions']])
@endif
@if($truth['reasons'])
    <h3>{{ __('practice.reasons') }}</h3>
    <ul>
        @foreach($truth['reasons'] as $reason)
            <li>{{ $reason['says'] }}
                @if($reason['at'] !== null)
                    <button type="button" class="plain small"
                        data-seek="{{ $reason['at'] }}">{{ __('practice.at', ['t' => \Core\Number\Written::fixed($reason['at'], 2)]) }}</button>
                @endif
            </li>
        @endforeach
    </ul>
@endif
@if($truth['confused'])
    <p class="small quiet">{{ __('practice.confused', ['what' => $truth['confused']]) }}</p>
@endif
@if($truth['beside'])
    <p><a href="{{ $truth['beside'] }}">{{ __('practice.beside') }}</a></p>
@endif
<p class="small quiet">{{ __('practice.look-for', ['what' => $lookFor]) }}</p>
