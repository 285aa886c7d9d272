<h2 id="stations">{{ __('bench.stations.title') }}</h2>
<table class="rows marks">
    <thead>
        <tr>
            <th>{{ __('bench.stations.station') }}</th>
            <th class="num">{{ __('bench.stations.time') }}</th>
            <th>{{ __('bench.stations.source') }}</th>
            @if($mayMark)
                <th></th>
            @endif
        </tr>
    </thead>
    <tbody>
        @foreach($stations as $s)
            <tr>
                <td>
                    <button type="button" class="link" data-go="{{ $s['t'] }}" @disabled($s['t'] === null)
                        title="{{ $s['definition'] }}">{{ $s['code'] }}</button>
                </td>
                <td class="num">{{ $s['time'] }} <small class="quiet">{{ $s['plusMinus'] }}</small></td>
                <td class="small">
                    {{ $s['from'] }}
                    @if($s['doubt'])
                        <span class="doubt" title="{{ $s['doubt'] }}">{{ __('bench.stations.look-again') }}</span>
                    @endif
                    @foreach($s['others'] as $other)
                        <br><span class="quiet">{{ $other }}</span>
                    @endforeach
                </td>
                @if($mayMark)
                    <td class="put">
                        <form method="post" action="{{ route('bench.mark', $recording) }}" data-mark>
                            @csrf
                            <input type="hidden" name="code" value="{{ $s['code'] }}">
                            <input type="hidden" name="t_s">
                            <button class="link" title="{{ $s['put'] }}">{{ __('bench.stations.put') }}</button>
                        </form>
                        @if($s['byHand'])
                            <form method="post" action="{{ route('bench.mark', $recording) }}">
                                @csrf
                                <input type="hidden" name="code" value="{{ $s['code'] }}">
                                <button class="link">{{ __('bench.stations.take-back') }}</button>
                            </form>
                        @endif
                    </td>
                @endif
            </tr>
        @endforeach
    </tbody>
</table>
