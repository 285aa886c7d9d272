{{-- The report itself, on a page and on paper. On paper figures are $pictures. --}}
<p class="small quiet">{{ $about }}@if($academy), {{ $academy }}@endif</p>
<h2>{{ __('report.summary') }}</h2>
<p>{{ implode(' ', $abstract) }}</p>
<p class="small quiet">{{ __('report.guideline') }}</p>
@include('report.said', ['section' => 'purpose', 'says' => $words->purpose])
@foreach($methods as $section => $lines)
    @include('report.head')
    <p>{{ implode(' ', $lines) }}</p>
    @if($section === 'readers')
        <p class="said">{{ $words->readers ?: __('report.unsaid') }}</p>
    @endif
@endforeach
@include('report.head', ['section' => 'held'])
<p>{{ implode(' ', $held) }}</p>
@include('report.head', ['section' => 'overall'])
<table class="rows slim">
    <thead>
        <tr>
            <th>{{ __('report.table.what') }}</th>
            <th>{{ __('report.table.these') }}</th>
            <th>{{ __('report.table.like') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach($overall as $row)
            <tr>
                <td>{{ $row['name'] }}</td>
                <td><x-figure-value :figure="$row['figure']" :percent="$row['percent']" /></td>
                <td>{{ $row['like'] }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
@include('report.head', ['section' => 'faults'])
@include('report.chart', ['chart' => $byFault, 'name' => 'faults'])
@include('agreement.faults-table', [...$faults, 'linked' => false])
<p class="small quiet">{{ __('agreement.faults.thin') }}</p>
@include('report.head', ['section' => 'against-key'])
@if($key['shown'])
    @include('report.chart', ['chart' => $key['chart'], 'name' => 'key'])
    <table class="rows slim">
        <thead>
            <tr>
                <th>{{ __('report.table.reader') }}</th>
                <th class="num">{{ __('report.table.n') }}</th>
                <th>{{ __('report.table.found') }}</th>
                <th>{{ __('report.table.right') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($key['rows'] as $row)
                <tr>
                    <td>{{ $row['name'] }}</td>
                    <td class="num">{{ $row['n'] }}</td>
                    @foreach($row['figures'] as $f)
                        <td><x-figure-value :figure="$f" percent /></td>
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
    <p class="small quiet">{{ __('report.by-number') }}</p>
@else
    <p>{{ __('report.few-readers') }}</p>
@endif
@include('report.head', ['section' => 'self'])
<p>{{ $self }}</p>
@include('report.head', ['section' => 'shown'])
<p>{{ $shown['finding'] }}.</p>
@if($shown['differences'])
    @include('agreement.differences', ['differences' => $shown['differences']])
    <p class="small quiet">{{ $shown['says'] }}</p>
@endif
@include('report.head', ['section' => 'advice'])
@if($advice)
    <table class="rows slim">
        <thead><tr><th>{{ __('report.advice.among') }}</th><th>{{ __('agreement.advice.value') }}</th></tr></thead>
        <tbody>
            @foreach($advice['among'] as $row)
                <tr>
                    <td>{{ $row['name'] }}</td>
                    <td><x-figure-value :figure="$row['figure']" /></td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <p>{{ implode(' ', $advice['beside']) }}</p>
    <p class="small quiet">{{ __('cautions.drills') }}</p>
@else
    <p>{{ __('report.advice.none') }}</p>
@endif
@include('report.head', ['section' => 'limits'])
<ul class="limits">
    <li>{{ __('report.academy-only') }}</li>
    <li>{{ __('report.estimate') }}</li>
    @foreach($limits as $limit)
        <li>{{ $limit }}</li>
    @endforeach
</ul>
@include('report.said', ['section' => 'meaning', 'says' => $words->meaning])
@include('report.head', ['section' => 'sources'])
<table class="rows sources">
    <tbody>
        @foreach($sources as $source)
            <tr><td>{{ $source['name'] }}</td><td class="value">{{ $source['value'] }}</td></tr>
        @endforeach
    </tbody>
</table>
<p class="small quiet">{{ __('report.sources-says') }}</p>
<h2>{{ __('report.heads.checklist') }}</h2>
<table class="rows checklist">
    <thead>
        <tr>
            @foreach(['number', 'says', 'in'] as $head)
                <th>{{ __('report.checklist.'.$head) }}</th>
            @endforeach
        </tr>
    </thead>
    <tbody>
        @foreach($items as $item)
            <tr>
                <td class="num">{{ $item['number'] }}</td>
                <td>{{ $item['says'] }}</td>
                <td>{{ $item['in'] }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
