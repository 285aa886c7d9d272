<x-layout :title="__('practice.progress.page')">
    <h1>{{ $own ? __('practice.progress.own') : $person->name }}</h1>
    <p>{{ $title }}</p>
    <h2>{{ __('practice.progress.faults') }}</h2>
    <p class="small quiet">{{ __('practice.progress.how', ['weeks' => $weeks, 'ahead' => $ahead, 'aim' => $aimAt]) }}</p>
    @if($rows)
        <x-scroll :label="__('practice.progress.faults')">
            <table class="rows progress-of">
                <thead>
                    <tr>
                        <th>{{ __('practice.fault') }}</th>
                        <th>{{ __('practice.progress.over', ['weeks' => $weeks]) }}</th>
                        <th class="num">{{ __('practice.progress.was') }}</th>
                        <th>{{ __('practice.progress.now') }}</th>
                        <th>{{ __('practice.progress.moved') }}</th>
                        <th>{{ __('practice.progress.ahead', ['ahead' => $ahead]) }}</th>
                        <th class="num">{{ __('practice.answers') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($rows as $row)
                        <tr>
                            <td><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></td>
                            <td><svg class="course" viewBox="0 0 120 36" preserveAspectRatio="none" aria-hidden="true">
                                <line class="aim" x1="0" x2="120" y1="{{ $aim }}" y2="{{ $aim }}" />
                                <polygon points="{{ $row['band'] }}" />
                                <polyline points="{{ $row['line'] }}" />
                            </svg></td>
                            <td class="num">{{ $row['was'] === null ? '–' : $row['was'].' %' }}</td>
                            <td><b>{{ $row['now'] }} %</b> <span class="small quiet">{{ $row['low'] }}–{{ $row['high'] }}</span></td>
                            <td>{{ __("practice.progress.moves.{$row['moved']}") }}</td>
                            <td>{{ $row['ahead'] }} %
                                @if($row['fades'])
                                    <span class="small">{{ __('practice.progress.fades') }}</span>
                                @endif
                            </td>
                            <td class="num">{{ $row['answers'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
    @else
        <p class="quiet">{{ __('practice.progress.none') }}</p>
    @endif
    <h2>{{ __('practice.progress.practised') }}</h2>
    <table class="rows weeks">
        <tbody>
            <tr>
                @foreach($practised as $week)
                    <td class="num"><svg class="week" viewBox="0 0 10 36" preserveAspectRatio="none" aria-hidden="true">
                        <rect x="1" width="8" y="{{ 36 - $week['high'] }}" height="{{ $week['high'] }}" />
                    </svg>{{ $week['n'] }}<span class="small quiet">{{ $week['week'] }}</span></td>
                @endforeach
            </tr>
        </tbody>
    </table>
    @if($rounds)
        <h2>{{ __('practice.progress.rounds') }}</h2>
        <x-scroll :label="__('practice.progress.rounds')">
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('practice.progress.round') }}</th>
                        <th>{{ __('practice.progress.share') }}</th>
                        <th>{{ __('practice.progress.calibrated') }}</th>
                        <th class="num">{{ __('practice.progress.minutes') }}</th>
                        <th class="num">{{ __('practice.progress.cases') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($rounds as $round)
                        <tr>
                            <td>{{ $round['name'] }} <span class="small quiet">{{ $round['date'] }}</span></td>
                            <td>{{ $round['right'] }}</td>
                            <td>{{ $round['sure'] }}</td>
                            <td class="num">{{ $round['minutes'] }}</td>
                            <td class="num">{{ $round['cases'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
        @if($again)
            <h3>{{ __('practice.progress.again') }}</h3>
            <ul>
                @foreach($again as $line)
                    <li>{{ $line }}</li>
                @endforeach
            </ul>
        @endif
        <h2>{{ __('practice.progress.did') }}</h2>
        <p>{{ $effect }}</p>
    @endif
</x-layout>
