<h2>{{ $finding }}</h2>
@if($stations === [])
    <p class="words">{{ __('agreement.times.none-says') }}</p>
@endif
<div class="suggested">
    @foreach($stations as $station)
        <div>
            <h3>{{ $station['title'] }}</h3>
            <table class="rows">
                <thead>
                    <tr>
                        <th>{{ __('agreement.table.person') }}</th>
                        @foreach(['marks', 'late', 'limits'] as $head)
                            <th class="num">{{ __('agreement.table.'.$head) }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach($station['people'] as $person)
                        <tr>
                            <td>{{ $person['name'] }}</td>
                            <td class="num">{{ $person['n'] }}</td>
                            <td class="num">
                                <span @class(['thin' => $person['thin']])>
                                    <b>{{ $person['bias'] }}</b> <span
                                        class="small quiet">{{ $person['interval'] }}</span>
                                </span>
                            </td>
                            <td class="num">{{ $person['limits'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <p class="small quiet">{{ $station['says'] }}
                <a href="{{ $station['url'] }}">{{ __('agreement.behind.marks') }}</a></p>
        </div>
    @endforeach
</div>
