<x-layout :title="$title.' – '.$round->name">
    <p class="small">
        <a href="{{ route('agreement', [$round, 'part' => 'advice']) }}">{{ $round->name }}</a> ·
        <a href="{{ route('agreement.person', [$round, $person->id]) }}">{{ $person->name }}</a>
    </p>
    <h1>{{ $title }}</h1>
    <x-scroll>
        <table class="rows behind sheets">
            <thead>
                <tr>
                    <th>{{ __('agreement.behind.case') }}</th>
                    @foreach($heads as $head)
                        <th>{{ $head }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($rows as $row)
                    <tr>
                        <th scope="row"><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></th>
                        @foreach($row['cells'] as $cell)
                            <td @class(['small', 'wrong' => $cell['wrong']])>
                                {{ $cell['own'] ?: __('figures.none') }}
                                @if($cell['panel'])
                                    <span class="quiet why">{{ $cell['panel'] }}</span>
                                @endif
                                @if($cell['counts'])
                                    <b class="why">{{ $cell['counts'] }}</b>
                                @endif
                            </td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
    <x-pages :pages="$pages" words="agreement.behind.pages" />
    <p class="small quiet">{{ __('agreement.behind.advice.says') }} {{ __('cautions.drills') }}</p>
</x-layout>
