<x-layout :title="__('today.page')">
    @if($steps)
        <h1>{{ __('today.first.title') }}</h1>
        <ol class="steps-first">
            @foreach($steps as $step)
                <li @class(['done' => $step['done']])>
                    <a href="{{ $step['url'] }}">{{ $step['says'] }}</a>
                    @if($step['done'])
                        <b>{{ __('today.first.done') }}</b>
                    @endif
                    <span class="quiet small">{{ $step['more'] }}</span>
                </li>
            @endforeach
        </ol>
    @endif
    @forelse($open as $round)
        <h1>{{ $round['title'] }}</h1>
        <p class="quiet about">{{ $round['about'] }}</p>
        <table class="rows mid">
            <thead>
                <tr>
                    <th>{{ $round['readers'] }}</th>
                    <th>{{ __('today.heads.done') }}</th>
                    <th class="num">{{ __('today.heads.cases') }}</th>
                    <th>{{ __('today.heads.last') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach($round['people'] as $p)
                    <tr>
                        <td>{{ $p['name'] }}</td>
                        <td><x-done :done="$p['done']" :of="$p['of']" /></td>
                        <td class="num">{{ $p['done'] }} / {{ $p['of'] }}</td>
                        <td class="quiet">{{ $p['last'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <p class="below"><a class="act second" href="{{ $round['url'] }}">{{ __('today.watch') }}</a></p>
    @empty
        @unless($steps)
            <h1>{{ __('today.none-open') }}</h1>
            <p class="below"><a class="act" href="{{ route('rounds.plan') }}">{{ __('today.plan') }}</a></p>
        @endunless
    @endforelse
    @foreach($closed as $round)
        <h2>{{ __('today.closed', ['round' => $round->name]) }}</h2>
        <a class="act" href="{{ route('rounds.show', $round) }}">{{ __('today.publish') }}</a>
    @endforeach
    @if($readiness)
        <h2>{{ __('readiness.page') }}</h2>
        <ul>
            @foreach($readiness as $line)
                <li><a href="{{ $line['url'] }}">{{ $line['says'] }}</a></li>
            @endforeach
        </ul>
    @endif
    @include('practice.goals-waiting')
    @if($unsettled->isNotEmpty())
        <h2>{{ $unsettledTitle }}</h2>
        <x-scroll>
            <table class="rows">
                <thead>
                    <tr>
                        @foreach(['recording', 'fault', 'panel', 'grade', 'measured'] as $head)
                            <th>{{ __('today.key.'.$head) }}</th>
                        @endforeach
                        <th></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($unsettled as $e)
                        @include('today.unsettled')
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
        @if($unsettledLeft)
            <p><a href="{{ route('panel.index') }}">{{ $unsettledLeft }}</a></p>
        @endif
    @endif
    @if($expiring)
        <h2>{{ __('today.expiring') }}</h2>
        <ul>
            @foreach($expiring as $line)
                <li><a href="{{ $line['url'] }}">{{ $line['says'] }}</a></li>
            @endforeach
        </ul>
    @endif
    @if($published)
        <h2>{{ __('today.last') }}</h2>
        <a href="{{ route('agreement', $published) }}">{{ $published->name }}</a>
    @endif
    @include('debrief.waiting')
</x-layout>
