<x-layout :title="__('rounds.page')">
    <div class="title-line">
        <h1>{{ __('rounds.page') }}</h1>
        <a class="act" href="{{ route('rounds.plan') }}">{{ __('rounds.plan') }}</a>
    </div>
    @if($rounds->isEmpty())
        <p class="words">{{ __('rounds.empty') }}</p>
    @else
        <table class="rows below">
            <thead>
                <tr>
                    @foreach(['name', 'readBy', 'state'] as $head)
                        <th>{{ __('rounds.heads.'.$head) }}</th>
                    @endforeach
                    @foreach(['cases', 'members'] as $head)
                        <th class="num">{{ __('rounds.heads.'.$head) }}</th>
                    @endforeach
                    @foreach(['done', 'result'] as $head)
                        <th>{{ __('rounds.heads.'.$head) }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($rounds as $round)
                    <tr>
                        <td><a href="{{ $round['url'] }}"><b>{{ $round['name'] }}</b></a></td>
                        <td>{{ $round['readBy'] }}</td>
                        <td>{{ $round['state'] }}</td>
                        <td class="num">{{ $round['cases'] }}</td>
                        <td class="num">{{ $round['members'] }}</td>
                        <td><x-done :done="$round['done']" :of="$round['of']" /></td>
                        <td class="small">
                            @if($round['result'])
                                <a href="{{ $round['result']['url'] }}">{{ $round['result']['word'] }}</a>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-pages :pages="$rounds" words="rounds.pages" />
    @endif
</x-layout>
