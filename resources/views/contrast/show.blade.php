<x-layout :title="$title" :wide="$swings !== []">
    @if($swings)
        <x-slot:head><x-stage-head script="practice" :fetch="[$swings[0]['url']]" /></x-slot:head>
        <div class="bench" data-practice data-evidence="{{ $swings[0]['url'] }}"
            data-keys-url="{{ route('keys', [], false) }}" data-at="{{ $station }}" data-answered>
            <section class="stage" aria-label="{{ __('practice.contrast.swings-of') }}">
                <div class="head">
                    <h1>{{ $title }}</h1>
                    <span class="simulated">{{ $about }}</span>
                </div>
                @include('bench.stage', ['locked' => true, 'film' => true, 'trace' => true])
            </section>
            <aside class="side practice-side" aria-label="{{ __('practice.contrast.apart') }}">
                <x-notices />
                @foreach($says as $fault)
                    <p><a href="{{ $fault['url'] }}"><b>{{ $fault['name'] }}</b></a>: {{ $fault['look'] }}</p>
                @endforeach
                <h2>{{ $tells === '' ? __('practice.contrast.not-told') : __('practice.contrast.told', ['what' => $tells]) }}</h2>
                <x-scroll :label="__('practice.contrast.apart')">
                    <table class="rows apart">
                        <thead>
                            <tr>
                                @foreach($swings as $swing)
                                    <th class="num">{{ $swing['name'] }}</th>
                                @endforeach
                            </tr>
                        </thead>
                        @foreach($rows as $row)
                            <tbody @class(['beyond' => $row['tells']])>
                                <tr>
                                    <th colspan="{{ count($swings) }}" scope="rowgroup">
                                        <a href="{{ route('codebook') }}#m-{{ $row['key'] }}">{{ $row['label'] }}</a>
                                        <span class="quiet small">{{ $row['unit'] }}; {{ $row['rule'] }}</span></th>
                                </tr>
                                <tr>
                                    @foreach($row['values'] as $value)
                                        <td class="num" title="{{ $value['reason'] }}">{{ $value['text'] }}</td>
                                    @endforeach
                                </tr>
                            </tbody>
                        @endforeach
                        @foreach($swings[0]['verdicts'] as $i => $verdict)
                            <tbody>
                                <tr>
                                    <th colspan="{{ count($swings) }}" scope="rowgroup">{{ ucfirst($verdict['name']) }}</th>
                                </tr>
                                <tr>
                                    @foreach($swings as $swing)
                                        <td class="num">{{ $swing['verdicts'][$i]['word'] }}</td>
                                    @endforeach
                                </tr>
                            </tbody>
                        @endforeach
                    </table>
                </x-scroll>
                @foreach($swings as $swing)
                    @foreach($swing['quality'] as $line)
                        <p class="small"><b>{{ $swing['name'] }}:</b> {{ $line }}</p>
                    @endforeach
                @endforeach
                <p class="small quiet">{{ __('practice.contrast.simulated') }}</p>
                <div class="ways">
                    <form method="post" action="{{ route('practice.begin') }}">
                        @csrf
                        <input type="hidden" name="mode" value="{{ $mode }}">
                        <input type="hidden" name="fault" value="{{ $set->fault }}">
                        <button class="act">{{ __('practice.contrast.practise') }}</button>
                    </form>
                    <form method="post" action="{{ route('contrast.ask') }}">
                        @csrf
                        @foreach($again as $name => $value)
                            <input type="hidden" name="{{ $name }}" value="{{ $value }}">
                        @endforeach
                        <button class="act second">{{ __('practice.contrast.again') }}</button>
                    </form>
                </div>
            </aside>
            @include('bench.keys')
            <x-words :of="['keys', 'stage.script']" />
        </div>
        <script type="module" src="@part('js/practice/page.js')"></script>
    @else
        <h1>{{ $title }}</h1>
        <p class="simulated">{{ $about }}</p>
        <x-notices />
        @if($work?->state->isUnderWay())
            <x-under-way :work="$work" />
        @elseif($work)
            <p>{{ $work->says() }}</p>
            <form method="post" action="{{ route('contrast.ask') }}">
                @csrf
                @foreach([...$again, 'body' => $set->body] as $name => $value)
                    <input type="hidden" name="{{ $name }}" value="{{ $value }}">
                @endforeach
                <button class="act">{{ __('practice.contrast.once-more') }}</button>
            </form>
        @endif
    @endif
</x-layout>
