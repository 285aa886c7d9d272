<h2 id="drills">{{ __('panel.advice.drills') }}</h2>
<p class="small quiet">{{ __('panel.advice.drills-say') }}</p>
<x-scroll>
    <table class="rows advice">
        <thead>
            <tr>
                <th>{{ __('panel.recording') }}</th>
                <th>{{ __('panel.advice.parts.drills') }}</th>
                @foreach($rungs as $rung)
                    <th>{{ __("panel.advice.rungs.$rung") }}</th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach($cases as $case)
                @foreach($case['drills'] as $drill)
                    <tr>
                        <td>{{ $loop->first ? $case['name'] : '' }}</td>
                        <td>{{ $drill['name'] }} <span class="small quiet whole">{{ $drill['of'] }}</span></td>
                        @foreach($drill['cells'] as $cell)
                            <td>
                                @if($cell)
                                    <span @class(['would', $cell['would'], 'open' => ! $cell['settled']])
                                        title="{{ $cell['settled'] ? '' : __('panel.advice.few') }}">{{ $cell['words'] }}</span>
                                    <span class="small quiet whole">{{ $cell['of'] }}</span>
                                @endif
                            </td>
                        @endforeach
                    </tr>
                @endforeach
            @endforeach
        </tbody>
    </table>
</x-scroll>
<p class="small quiet">{{ __('agreement.advice.caution') }}</p>
