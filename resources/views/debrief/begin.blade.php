{{-- Chooses the cases of a debrief that is to be held. Expects $order, $round. --}}
<h2>{{ __('debrief.begin.title') }}</h2>
@foreach($heldBefore as $h)
    <p class="small"><a href="{{ $h['url'] }}">{{ $h['says'] }}</a></p>
@endforeach
<details>
    <summary>{{ __('debrief.begin.choose') }}</summary>
    <form method="post" action="{{ route('debriefs.begin', $round) }}">
        @csrf
        <ul class="choose">
            @foreach($order as $o)
                <li><label><input type="checkbox" name="cases[]" value="{{ $o['place'] }}" @checked($o['picked'])>
                    {{ $o['name'] }} <span class="small quiet">{{ $o['fault'] }}
                        · {{ __('debrief.begin.score', ['score' => $o['score']]) }}
                        @if($o['contested'])
                            · {{ __('debrief.begin.contested', ['faults' => $o['contested']]) }}
                        @endif
                    </span></label></li>
            @endforeach
        </ul>
        <button class="act">{{ __('debrief.begin.go') }}</button>
    </form>
</details>
