<x-layout :title="__('bench.chosen.title')">
    <p class="small">
        <a href="{{ route('bench', $recording) }}">{{ $recording->golfer->pseudonym }}, {{ $recording->club }}</a>
    </p>
    <h1>{{ trans_choice('bench.chosen.found', count($found), ['find' => $find, 'count' => count($found)]) }}</h1>
    <form method="get" action="{{ route('bench.beside', $recording) }}" class="beside find">
        <label for="find">{{ __('bench.chosen.find') }}</label>
        <input id="find" type="search" name="find" maxlength="80" value="{{ $find }}">
        <button class="act second">{{ __('bench.chosen.again') }}</button>
    </form>
    <ul>
        @foreach($found as $other)
            <li><a href="{{ route('bench.compare', [$recording, $other['id']]) }}">{{ $other['name'] }}</a></li>
        @endforeach
    </ul>
</x-layout>
