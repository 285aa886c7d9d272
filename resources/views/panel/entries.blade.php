<x-layout :title="__('panel.page')">
    <x-slot:head>
        <x-words :of="['bench.script']" />
        <script type="module" src="@part('js/panel/page.js')"></script>
    </x-slot:head>
    <h1>{{ $title }}</h1>
    @if($held)
        <p class="notice">{{ __('panel.waits-says') }}</p>
    @endif
    <p class="quiet about">{{ $about }}
        @if($versions)
            · <a href="{{ $versions }}">{{ __('panel.versions.link') }}</a>
        @endif
    </p>
    @if(count($lenses) > 1)
        <nav class="lenses" aria-label="{{ __('panel.lenses.nav') }}">
            @foreach($lenses as $lens)
                <a href="{{ $lens['url'] }}" @if($lens['here']) aria-current="true" @endif>{{ $lens['name'] }}</a>
            @endforeach
        </nav>
        <p class="small quiet">{{ __('panel.lenses.says') }}</p>
    @endif
    @if($setRight)
        <p class="notice small">{{ $setRight }}</p>
    @endif
    @if($erased)
        <p class="notice small">{{ __('panel.erased', ['date' => $erased]) }}</p>
    @endif
    @if($tiles)
        <div class="tiles grades">
            @foreach($tiles as $tile)
                <div>
                    <b>{{ $tile['n'] }}</b><x-grade :grade="$tile['grade']" />
                    <p class="small quiet">{{ $tile['says'] }}</p>
                </div>
            @endforeach
        </div>
    @endif
    @foreach($steps as $step => $now)
        @if($now['says'])
            <p>{{ $now['says'] }}</p>
        @endif
        @foreach(['open', 'close'] as $do)
            @if($now[$do])
                <form method="post" action="{{ $now[$do] }}" class="below">
                    @csrf
                    <button class="act">{{ __("panel.$step.$do") }}</button>
                </form>
            @endif
        @endforeach
        @if($now['held'])
            <p class="quiet small">{{ $now['held'] }}</p>
        @endif
    @endforeach
    @if($unsettled->isNotEmpty())
        <h2>{{ __('panel.decide') }}</h2>
        @foreach($unsettled as $e)
            @include('panel.entry')
        @endforeach
        <x-pages :pages="$unsettled" words="panel.decisions" />
        @if($frozen)
            <p class="small quiet below">{{ __('panel.frozen-says') }}</p>
        @endif
    @endif
    <h2>{{ __('panel.every') }}</h2>
    <p class="small quiet">
        {{ __('panel.every-says', ['n' => $members]) }}
        <span class="call present">{{ __('panel.legend.present') }}</span> &nbsp;
        <span class="call absent">{{ __('panel.legend.absent') }}</span> &nbsp;
        <span class="grade contested">{{ __('panel.legend.none') }}</span> &nbsp; {{ __('panel.legend.dashed') }}
        @if($sided)
            <span class="whole"><b class="sides">≠</b> {{ __('panel.lenses.differ') }}</span>
        @endif
    </p>
    <x-scroll>
        <table class="rows heat key">
            <thead>
                <tr>
                    <th>{{ __('panel.recording') }}</th>
                    @foreach($faults as $fault)
                        <th title="{{ $fault['look'] }}">{{ $fault['name'] }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach($cases as $case)
                    <tr>
                        <td>
                            @if($case['url'])
                                <a href="{{ $case['url'] }}">{{ $case['name'] }}</a>
                            @else
                                {{ $case['name'] }}
                            @endif
                        </td>
                        @foreach($case['cells'] as $cell)
                            <td>
                                @if($cell)
                                    <span @class(['grade', $cell['grade'], 'labelled' => $cell['label']])
                                        title="{{ $cell['hint'] }}">{{ $cell['present'] }}<span class="small">
                                            / {{ $cell['of'] }}</span></span>
                                    @isset($sides[$cell['side']])
                                        <abbr class="sides" title="{{ implode(' ', $sides[$cell['side']]) }}">≠</abbr>
                                    @endisset
                                @endif
                            </td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
    </x-scroll>
    <x-pages :pages="$cases" words="panel.cases" />
    @if($sided)
        <details class="below">
            <summary>{{ trans_choice('panel.lenses.list', count($sided), ['count' => count($sided)]) }}</summary>
            @foreach($sided as $row)
                <p class="small"><b>{{ $row['what'] }}</b>
                    @foreach($row['lines'] as $line)
                        <br>{{ $line }}
                    @endforeach
                </p>
            @endforeach
        </details>
    @endif
    @if($cases->isNotEmpty())
        @include('panel.advice')
        @if($judged)
            @include('panel.drills')
        @endif
    @endif
</x-layout>
