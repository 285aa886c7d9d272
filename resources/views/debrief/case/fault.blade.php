<li class="topic" data-topic="{{ $f['key'] }}">
    <button type="button" class="line" aria-expanded="false">
        <span class="station">{{ $f['station'] }}</span><span class="name">{{ ucfirst($f['name']) }}</span>
        <span class="split">
            @foreach($f['camps'] as $camp)
                <span class="call {{ $camp['presence'] }}"
                    title="{{ __('calls.'.$camp['presence']) }}">{{ $camp['count'] }}<span
                    class="only-heard"> {{ __('calls.'.$camp['presence']) }}</span></span>
            @endforeach
        </span>
    </button>
    <div class="details">
        <p class="small quiet">{{ ucfirst($f['lookFor']) }}.</p>
        @foreach($f['camps'] as $camp)
            @if($camp['calls'] !== [])
                <div class="camp">
                    <x-call :presence="$camp['presence']" />
                    <ul>
                        @foreach($camp['calls'] as $c)
                            <li>
                                <x-letter :of="$c" />
                                @if($c['confidence'] !== null)
                                    <span class="small quiet">{{ $c['confidence'] }} %</span>
                                @endif
                                <span class="small">{{ $c['severity'] }} {{ $c['trend'] }}</span>
                            </li>
                        @endforeach
                    </ul>
                </div>
            @endif
        @endforeach
        @foreach($f['reasons'] as $r)
            <p class="small">
                <x-letter :of="$r" /> {{ $r['on'] }}@if($r['t'] !== null), <button type="button" class="link"
                    data-go="{{ $r['t'] }}"
                        data-swing-of="{{ $r['swing'] }}">{{ $r['at'] }}</button>@endif: “{{ $r['reason'] }}”
            </p>
        @endforeach
        <button type="button" class="act second" data-do="answer" aria-expanded="false">{{ __('debrief.key') }}
            <kbd data-key="answer">K</kbd></button>
        <div class="answer" data-answer hidden>
            <p>
                @if($f['truth'])
                    <x-call :presence="$f['truth']" /> <x-grade :grade="$f['grade']" />
                    <span class="small quiet">{{ $f['keySays'] }}</span>
                @else
                    {{ $f['keySays'] }}
                    @if($f['grade'])
                        <x-grade :grade="$f['grade']" />
                    @endif
                @endif
            </p>
            @if($f['why'])
                <p class="small quiet">@said($f['why'], ['fault' => $f['name']])</p>
            @endif
            @if($f['ruling'])
                <p class="small">{{ __('debrief.ruled', ['reason' => $f['ruling']]) }}</p>
            @endif
        </div>
    </div>
</li>
