{{-- Ways to set a film's clock. Expects $film, $row. --}}
<div class="clock-keys" data-film-clock="{{ $row['view'] }}">
    <button type="button" class="link" data-hold>{{ __('films.script.hold') }}</button>
    <form method="post" action="{{ route('films.clock', $film) }}" data-same hidden>
        @csrf
        <input type="hidden" name="by" value="event">
        <input type="hidden" name="film_s">
        <input type="hidden" name="trace_s">
        <button class="link">{{ __('films.same-moment') }}</button>
    </form>
    <form method="post" action="{{ route('films.clock', $film) }}" data-impact>
        @csrf
        <input type="hidden" name="by" value="event">
        <input type="hidden" name="code" value="IM">
        <input type="hidden" name="film_s">
        <input type="hidden" name="trace_s" value="0">
        <button class="link">{{ __('films.impact') }}</button>
    </form>
    @foreach($row['frames'] as $name => $shift)
        <form method="post" action="{{ route('films.clock', $film) }}">
            @csrf
            <input type="hidden" name="by" value="hand">
            <input type="hidden" name="shift" value="{{ $shift }}">
            <button class="link">{{ $name }}</button>
        </form>
    @endforeach
    @if($row['events'] !== [])
        <form method="post" action="{{ route('films.clock', $film) }}">
            @csrf
            <input type="hidden" name="by" value="forget">
            <button class="link">{{ __('films.forget') }}</button>
        </form>
    @endif
    <a class="link" href="{{ route('films.original', $film) }}">{{ __('films.original') }}</a>
    <form method="post" action="{{ route('films.drop', $film) }}">
        @csrf
        @method('delete')
        <button class="link">{{ __('films.drop') }}</button>
    </form>
</div>
@if($row['events'] !== [])
    <ul class="small quiet">
        @foreach($row['events'] as $event)
            <li>{{ $event }}</li>
        @endforeach
    </ul>
@endif
