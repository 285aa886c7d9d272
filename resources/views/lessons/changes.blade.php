<x-scroll>
    <table class="rows">
        <thead>
            <tr>
                @foreach(['measure', 'seen', 'change', 'was', 'is'] as $head)
                    <th>{{ __("followup.heads.$head") }}</th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach($rows as $r)
                <tr>
                    <th scope="row">{{ $r['name'] }} <span class="quiet small">{{ $r['way'] }}</span></th>
                    <td><span class="seen is-{{ $r['seen'] }}">{{ $r['word'] }}</span></td>
                    <td>{{ $r['change'] }}</td>
                    <td class="small quiet">{{ $r['was'] }}</td>
                    <td class="small quiet">{{ $r['is'] }}</td>
                </tr>
                @if($r['ladder'])
                    <tr class="of-ladder">
                        <td colspan="5">
                            @foreach($r['ladder'] as $l)
                                <span class="step">{{ $l['rung'] }}: <span class="seen is-{{ $l['seen'] }}">{{ $l['word'] }}</span></span>
                            @endforeach
                        </td>
                    </tr>
                @endif
            @endforeach
        </tbody>
    </table>
</x-scroll>
