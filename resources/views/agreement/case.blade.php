<x-layout :title="$title.' – '.$round->name">
    <p class="small">
        <a href="{{ route('agreement', $round) }}">{{ $round->name }}</a>
        @foreach(['before', 'after'] as $way)
            @if($next[$way])
                · <a href="{{ $next[$way] }}">{{ __('agreement.behind.'.$way) }}</a>
            @endif
        @endforeach
    </p>
    <h1>{{ $title }}</h1>
    <p class="quiet about">{{ $about }}</p>
    @foreach($swings as $swing)
        <p><a href="{{ $swing['url'] }}">{{ $swing['name'] }}</a> {{ $swing['flight'] ?? __('agreement.behind.no-ball') }}</p>
    @endforeach
    @include('agreement.calls-table', ['first' => __('agreement.table.fault')])
    @if($others)
        <details class="more">
            <summary class="small">{{ trans_choice('agreement.behind.others', count($others), ['count' => count($others)]) }}</summary>
            <p class="small quiet">{{ implode(', ', $others) }}</p>
        </details>
    @endif
    <p class="small quiet">{{ __('agreement.behind.says') }}</p>
    @if($said)
        <h2>{{ __('agreement.behind.do') }}</h2>
        <x-scroll>
            <table class="rows behind">
                <thead>
                    <tr>
                        <th></th>
                        <th>{{ __('agreement.behind.panel') }}</th>
                        @foreach($readers as $reader)
                            <th>{{ $reader }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach($said as $row)
                        <tr>
                            <th scope="row">{{ $row['part'] }}</th>
                            <td>
                                @foreach($row['key'] as $line)
                                    <div>{{ $line }}</div>
                                @endforeach
                            </td>
                            @foreach($row['cells'] as $cell)
                                <td class="small">{{ $cell ?: __('figures.none') }}</td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
        <p class="small quiet">{{ __('cautions.drills') }}</p>
    @endif
</x-layout>
