<li @class(['here' => $d['here'], 'grave' => $d['grave']])>
    <x-drill-drawing :drill="$d['key']" small />
    <div>
        <h3>{{ $d['name'] }} <span class="quiet small">{{ $d['for'] }}</span></h3>
        <ul class="reasons">
            @foreach($d['reasons'] as $r)
                <li @class(['for' => $r['for'], 'against' => ! $r['for'], 'grave' => $r['grave']])>
                    <span class="which">{{ __($r['for'] ? 'prescriptions.for' : 'prescriptions.against') }}</span> {{ $r['says'] }}</li>
            @endforeach
            @if($d['caution'])
                <li class="against"><span class="which">{{ __('prescriptions.mind') }}</span> {{ $d['caution'] }}</li>
            @endif
        </ul>
    </div>
    @if($d['here'])
        <b>{{ __('prescriptions.chosen') }}</b>
    @else
        <button @class(['act', 'second' => true, 'small' => true]) name="drill" value="{{ $d['key'] }}">{{ __('prescriptions.choose') }}</button>
    @endif
</li>
