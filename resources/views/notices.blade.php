<x-layout :title="__('told.page')">
    <h1>{{ __('told.page') }}</h1>
    @if($notices)
        <ul class="told">
            @foreach($notices as $n)
                <li @class(['new' => $n['new']])>
                    <span class="quiet small">{{ $n['at'] }}</span>
                    @if($n['url'])
                        <a href="{{ $n['url'] }}">{{ $n['says'] }}</a>
                    @else
                        {{ $n['says'] }}
                    @endif
                </li>
            @endforeach
        </ul>
        @if($upto)
            <form method="post" action="{{ route('notices.seen') }}">
                @csrf
                <input type="hidden" name="upto" value="{{ $upto }}">
                <button class="act second">{{ __('told.seen') }}</button>
            </form>
        @endif
    @else
        <p class="words">{{ __('told.none') }}</p>
    @endif
    <h2>{{ __('told.ways.title') }}</h2>
    <p class="small quiet">{{ __('told.ways.says') }}</p>
    <form method="post" action="{{ route('notices.update') }}" class="told-ways">
        @csrf
        @method('put')
        @foreach($kinds as $k)
            <label for="way-{{ $k['kind'] }}">{{ __('told.ways.kinds.'.$k['kind']) }}</label>
            <div class="select">
                <select id="way-{{ $k['kind'] }}" name="ways[{{ $k['kind'] }}]">
                    @foreach($ways as $way => $word)
                        <option value="{{ $way }}" @selected($k['way'] === $way)>{{ $word }}</option>
                    @endforeach
                </select>
            </div>
        @endforeach
        <button class="act second">{{ __('told.ways.keep') }}</button>
    </form>
</x-layout>
