<h2>{{ __('bench.clock.title') }}</h2>
<p class="small">{{ $clock['says'] }}</p>
@if($mayMark)
    <div class="clock-keys">
        @foreach($clock['ways'] as $way)
            <form method="post" action="{{ route('bench.clock', $recording) }}">
                @csrf
                <input type="hidden" name="by" value="{{ $way['by'] }}">
                @if($way['shift'] !== null)
                    <input type="hidden" name="shift" value="{{ $way['shift'] }}">
                @endif
                <button class="link">{{ $way['name'] }}</button>
            </form>
        @endforeach
    </div>
@endif
