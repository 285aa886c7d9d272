<h2>{{ __('bench.leanings.title') }}</h2>
<table class="leanings">
    <thead class="small quiet">
        <tr>
            <th scope="col">{{ __('bench.leanings.trait-head') }}</th>
            <th scope="col" class="mark">{{ __('bench.leanings.shape.draw') }}</th>
            <th scope="col" class="mark">{{ __('bench.leanings.shape.fade') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach($leanings['rows'] as $row)
            <tr class="{{ $row['side'] }}">
                <th scope="row">{{ $row['name'] }}<span class="small quiet">{{ $row['says'] }}</span></th>
                @foreach(['draw', 'fade'] as $side)
                    <td class="mark">
                        @if($row['side'] === $side)
                            <b class="{{ $row['sure'] ? 'sure' : 'just' }}"
                                title="{{ __($row['sure'] ? 'bench.leanings.sure' : 'bench.leanings.just') }}"><span
                                class="only-heard">{{ __($row['sure'] ? 'bench.leanings.sure' : 'bench.leanings.just') }}</span></b>
                        @elseif($row['side'] === 'unknown')
                            <span class="quiet" aria-hidden="true">–</span>
                        @endif
                    </td>
                @endforeach
            </tr>
        @endforeach
    </tbody>
</table>
<p>{{ $leanings['sum'] }} {{ $leanings['wanted'] }} {{ $leanings['seen'] }}</p>
<p class="small quiet">{{ __('bench.leanings.mind') }}</p>
