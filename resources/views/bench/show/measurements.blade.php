<h2>{{ __('bench.measurements') }}</h2>
<p class="quiet small">{{ __('bench.plus-minus') }} <a
    href="{{ route('codebook') }}#measures">{{ __('bench.what-each') }}</a></p>
<x-terms :of="['uncertainty', 'band', 'spread', 'derived', 'censored']" />
@foreach($rows as $row)
    @if($row['group'])
        <h3 class="measure-group">{{ $row['group'] }}</h3>
    @endif
    <div @class(['measure', 'outside' => $row['inside'] === false]) title="{{ ucfirst($row['definition']) }}">
        <a href="{{ route('codebook') }}#m-{{ $row['key'] }}">{{ $row['label'] }}</a>
        <span @class([
            'value',
            'thin' => $row['value'] === null,
            'word' => is_string($row['value']),
        ])>{{ $row['written'] }} <small>{{ $row['plusMinus'] }}</small></span>
        @if($row['gauge'])
            <x-gauge :of="$row['gauge']" />
        @else
            <span></span>
        @endif
        <span class="why">{{ $row['notes'] }}</span>
        @if($row['sides'])
            <details class="sides">
                <summary>{{ __('bench.schools-differ') }}</summary>
                @foreach($row['sides'] as $side)
                    <p>{{ $side }}</p>
                @endforeach
            </details>
        @endif
    </div>
@endforeach
