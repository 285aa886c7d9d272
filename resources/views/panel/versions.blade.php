<x-layout :title="__('panel.versions.page')">
    <h1>{{ $title }}</h1>
    <p class="quiet about"><a href="{{ route('panel', [$round, 'lens' => $lens]) }}">{{ $round->name }}</a></p>
    @if(count($versions) > 1)
        <form method="get" class="compare">
            <input type="hidden" name="lens" value="{{ $lens }}">
            @foreach(['from' => $from, 'to' => $to] as $name => $chosen)
                <label class="small quiet">{{ __("panel.versions.$name") }}
                    <select name="{{ $name }}">
                        @foreach($versions as $v)
                            <option value="{{ $v['number'] }}" @selected($v['number'] === $chosen)>{{ $v['says'] }}</option>
                        @endforeach
                    </select>
                </label>
            @endforeach
            <button class="act second">{{ __('panel.versions.go') }}</button>
        </form>
    @endif
    @if($rounds)
        <h2>{{ __('panel.versions.rounds') }}</h2>
        @foreach($rounds as $says)
            <p>{{ $says }}</p>
        @endforeach
        <p class="small quiet">{{ __('panel.versions.keeps') }}</p>
    @endif
    @if($lines)
        <x-scroll>
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('panel.versions.what') }}</th>
                        <th>{{ __('panel.versions.was', ['n' => $from]) }}</th>
                        <th>{{ __('panel.versions.is', ['n' => $to]) }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($lines as $line)
                        <tr>
                            <td>{{ $line['what'] }}</td>
                            <td>{{ $line['was'] }}</td>
                            <td>{{ $line['is'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
        @if($more)
            <p class="quiet">{{ trans_choice('panel.versions.more', $more, ['count' => $more]) }}</p>
        @endif
    @endif
</x-layout>
