<h2>{{ $finding }}</h2>
@if($says)
    <p class="small quiet">{{ $says }}</p>
@endif
@if($among)
    <table class="rows slim">
        <thead>
            <tr>
                <th>{{ __('agreement.advice.between') }}</th>
                <th class="num">{{ __('agreement.advice.value') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($among as $row)
                <tr>
                    <td><b>{{ $row['name'] }}</b> <span class="small quiet">{{ $row['says'] }}</span></td>
                    <td class="num"><x-figure-value :figure="$row['figure']" /></td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
@if($cases)
    <details class="more">
        <summary class="small">{{ __('agreement.advice.side-by-side') }}</summary>
        <p class="small">
            @foreach($cases as $case)
                <a href="{{ $case['url'] }}">{{ $case['name'] }}</a>@if(! $loop->last);@endif
            @endforeach
        </p>
    </details>
@endif
@if($people)
    <h2>{{ __('agreement.advice.beside-title') }}</h2>
    <p class="small quiet">{{ __('agreement.advice.beside-says') }}</p>
    <x-scroll>
        <table class="rows">
            <thead>
                <tr>
                    <th>{{ __('agreement.table.person') }}</th>
                    <th class="num">{{ __('agreement.advice.cases') }}</th>
                    @foreach($heads as $head)
                        <th class="num">{{ $head }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($people as $person)
                    <tr>
                        <td><a href="{{ $person['url'] }}">{{ $person['name'] }}</a></td>
                        <td class="num">{{ $person['n'] }}</td>
                        @foreach($person['figures'] as $cell)
                            <td class="num"><x-figure-value :figure="$cell['figure']"
                                :percent="$cell['percent']" /></td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
    <p class="small quiet">{{ __('agreement.advice.caution') }}</p>
@endif
@include('agreement.cues')
