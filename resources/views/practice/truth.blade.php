<div role="status" @class(['truth', 'is-wrong' => ! $truth['right']])>
    <h2>{{ $truth['head'] }}</h2>
    @foreach($truth['lines'] as $line)
        <p>{{ $line }}</p>
    @endforeach
</div>
@if($next)
    <p class="hand-in"><a class="act big" href="{{ $next }}" data-next>{{ __('practice.next') }}
        <kbd data-key="next-question">{{ __('practice.enter') }}</kbd></a></p>
@endif
@if($truth['conditions'])
    @include('bench.why', ['conditions' => $truth['conditions']])
@endif
@if($truth['reasons'])
    <h3>{{ __($truth['fault'] ? 'practice.reasons' : 'practice.moment.marks') }}</h3>
    <ul>
        @foreach($truth['reasons'] as $reason)
            <li>{{ $reason['says'] }}
                @if($reason['at'] !== null)
                    <button type="button" class="plain small"
                        data-seek="{{ $reason['at'] }}">{{ __('practice.at', ['t' => \Core\Number\Written::fixed($reason['at'], 3)]) }}</button>
                @endif
            </li>
        @endforeach
    </ul>
@endif
@foreach($truth['notes'] as $note)
    <p class="small quiet">{{ $note }}</p>
@endforeach
@if($truth['beside'])
    <p><a href="{{ $truth['beside'] }}">{{ __('practice.beside') }}</a></p>
@endif
@if($look)
    <p class="small quiet">{{ __('practice.look-for', ['what' => $look]) }}</p>
@endif
