<x-layout :title="__('agreement.behind.pair.title').' – '.$round->name">
    <p class="small"><a href="{{ route('agreement', [$round, 'part' => 'pairs']) }}">{{ $round->name }}</a></p>
    <h1>{{ $finding }}</h1>
    @if($rows)
        <x-scroll>
            <table class="rows behind">
                <thead>
                    <tr>
                        <th>{{ __('agreement.behind.case') }}</th>
                        <th>{{ __('agreement.table.fault') }}</th>
                        <th>{{ __('agreement.behind.key') }}</th>
                        <th>{{ $a }}</th>
                        <th>{{ $b }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach($rows as $row)
                        <tr>
                            <td><a href="{{ $row['caseUrl'] }}">{{ $row['case'] }}</a></td>
                            <td><a href="{{ $row['faultUrl'] }}">{{ $row['fault'] }}</a></td>
                            <td>@if($row['key'])<x-call :presence="$row['key']" />@endif</td>
                            @foreach(['one', 'other'] as $of)
                                <td>
                                    <x-call :presence="$row[$of]" />
                                    <span class="small quiet whole">{{ $row[$of.'Sure'] }}</span>
                                </td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </x-scroll>
        <x-pages :pages="$pages" words="agreement.behind.pair.pages" />
    @endif
    <p class="small quiet">{{ __('agreement.behind.pair.says') }}</p>
</x-layout>
