<h2>{{ __('agreement.person.faults.title') }}</h2>
<x-scroll>
    <table class="rows">
        <thead>
            <tr>
                <th>{{ __('agreement.table.fault') }}</th>
                <th></th>
                @foreach(__('agreement.person.cells') as $head)
                    <th class="num">{{ $head }}</th>
                @endforeach
                <th>{{ __('agreement.person.faults.hits') }}</th>
                <th>{{ __('agreement.person.faults.right') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach($faults as $f)
                <tr>
                    <td><span class="small quiet">{{ $f['station'] }}</span> {{ $f['name'] }}</td>
                    <td class="tally">
                        <span class="wrongs" role="img"
                            aria-label="{{ __('agreement.person.faults.wrongs', ['missed' => $f['cells'][1], 'over' => $f['cells'][2]]) }}">
                            @for($i = 0; $i < $f['cells'][1]; $i++)
                                <i class="missed"></i>
                            @endfor
                            @for($i = 0; $i < $f['cells'][2]; $i++)
                                <i class="over"></i>
                            @endfor
                        </span>
                    </td>
                    @foreach($f['cells'] as $v)
                        <td class="num">{{ $v }}</td>
                    @endforeach
                    <td><x-figure-value :figure="$f['hits']" percent :n="$f['there']" /></td>
                    <td><x-figure-value :figure="$f['right']" percent :n="$f['not']" /></td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-scroll>
<p class="small quiet">
    <span class="wrongs"><i class="missed"></i></span> {{ __('agreement.person.faults.missed') }},
    <span class="wrongs"><i class="over"></i></span> {{ __('agreement.person.faults.over') }}
</p>
