<li class="topic" data-topic="times">
    <button type="button" class="line" aria-expanded="false"><span class="station">TP IM</span><span
        class="name">{{ __('debrief.times.title') }}</span></button>
    <div class="details">
        @foreach($times as $time)
            <p>
                {{ $time['says'] }}
                @foreach($time['marks'] as $m)
                    <x-letter :of="$m" />
                    <button type="button" class="link" data-go="{{ $m['t'] }}">{{ $m['off'] }}</button>
                @endforeach
            </p>
        @endforeach
    </div>
</li>
