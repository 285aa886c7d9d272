<h2 id="advice">{{ __('panel.advice.title') }}</h2>
@if(! $advised)
    <p class="quiet">{{ __('panel.advice.before') }}</p>
@else
    <p class="small quiet">{{ __('panel.advice.says') }}</p>
    <x-scroll>
        <table class="rows advice">
            <thead>
                <tr>
                    <th>{{ __('panel.recording') }}</th>
                    @foreach(__('panel.advice.parts') as $word)
                        <th>{{ $word }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($cases as $case)
                    <tr>
                        <td>{{ $case['name'] }}</td>
                        @foreach(__('panel.advice.parts') as $part => $word)
                            <td>
                                @foreach($case['advice'][$part] ?? [] as $said)
                                    <div>
                                        @if($said['settled'])
                                            <b>{{ $said['words'] }}</b>
                                        @else
                                            {{ $said['words'] }}
                                        @endif
                                        <span class="small quiet whole">{{ $said['of'] }}</span>
                                    </div>
                                @endforeach
                            </td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
@endif
