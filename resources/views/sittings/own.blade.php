<x-layout :title="__('own.page')">
    <h1>{{ __('own.page') }}</h1>
    <p class="words">{{ __('own.says') }}</p>
    @if($swings === [])
        <p class="words">{{ __('own.none') }}</p>
    @else
        <table class="rows mid">
            <thead>
                <tr>
                    @foreach(['swing', 'day', 'state'] as $head)
                        <th>{{ __('own.heads.'.$head) }}</th>
                    @endforeach
                    <th></th>
                </tr>
            </thead>
            <tbody>
                @foreach($swings as $s)
                    <tr>
                        <td>{{ $s['name'] }}</td>
                        <td class="quiet">{{ $s['day'] }}</td>
                        <td>{{ $s['says'] }}</td>
                        <td class="num">
                            @if($s['read'])
                                <a href="{{ $s['read'] }}">{{ $s['act'] }}</a>
                            @else
                                <form method="post" action="{{ route('own.review', $s['id']) }}">
                                    @csrf
                                    <button class="act second">{{ $s['act'] }}</button>
                                </form>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
