<x-layout :title="$title.' – '.$round->name">
    <p class="small"><a href="{{ route('agreement', [$round, 'part' => 'times']) }}">{{ $round->name }}</a></p>
    <h1>{{ $title }}</h1>
    <x-scroll>
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('agreement.behind.case') }}</th>
                    @foreach($readers as $reader)
                        <th class="num">{{ $reader }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($rows as $row)
                    <tr>
                        <th scope="row"><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></th>
                        @foreach($row['cells'] as $cell)
                            <td class="num">{{ $cell }}</td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
    <p class="small quiet">{{ __('agreement.behind.times.says') }}</p>
</x-layout>
