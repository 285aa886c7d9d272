<x-layout :title="__('practice.page')">
    <h1>{{ __('practice.title') }}</h1>
    <p class="words">{{ __('practice.says') }}</p>
    @if($staff)
        @include('practice.staff')
    @endif
    @if($making)
        <div class="notice" role="status" data-waits="{{ $making }}">
            <p>{{ __('practice.making') }}</p>
        </div>
        <script type="module" src="@part('js/work.js')"></script>
    @endif
    <p>{{ __($questions ? 'practice.chosen' : 'practice.none', ['questions' => $questions, 'swings' => $swings]) }}
        <a href="{{ route('contrast') }}">{{ __('practice.contrast.way') }}</a>
            <a href="{{ route('practice.progress') }}">{{ __('practice.progress.way') }}</a> ·
            <a href="{{ route('plans') }}">{{ __('plans.page') }}</a></p>
    @if($open)
        <p class="ways"><a class="act big" href="{{ $open }}">{{ __('practice.go-on') }}</a></p>
    @endif
    <ul class="practice-modes" aria-label="{{ __('practice.modes.title') }}">
        @foreach($modes as $mode)
            <li>
                <form method="post" action="{{ route('practice.begin') }}">
                    @csrf
                    <button @class(['act', 'second' => $open || ! $loop->first]) name="mode"
                        value="{{ $mode['mode'] }}">{{ $mode['name'] }}</button>
                    <p class="small">{{ $mode['says'] }} <span class="quiet">{{ $mode['score'] }}</span></p>
                </form>
            </li>
        @endforeach
    </ul>
    <h2>{{ __('practice.skills') }}</h2>
    <p class="small quiet">{{ __('practice.aim', ['aim' => $aim]) }}</p>
    <table class="rows skills">
        <thead>
            <tr>
                <th>{{ __('practice.fault') }}</th>
                <th>{{ __('practice.chance') }}</th>
                <th class="num">{{ __('practice.answers') }}</th>
                <th></th>
            </tr>
        </thead>
        <tbody>
            @foreach($rows as $row)
                <tr>
                    <td><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></td>
                    <td>
                        <svg class="skill" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
                            <line class="aim" x1="{{ $aim }}" x2="{{ $aim }}" y1="0" y2="10" />
                            <rect x="{{ $row['left'] }}" y="3" width="{{ $row['wide'] }}" height="4" />
                            <line class="at" x1="{{ $row['at'] }}" x2="{{ $row['at'] }}" y1="1" y2="9" />
                        </svg>
                        <b>{{ $row['chance'] }} %</b>
                        <span class="small quiet">{{ $row['low'] }}–{{ $row['high'] }} {{ $row['says'] }}</span>
                    </td>
                    <td class="num">{{ $row['answers'] }}</td>
                    <td>
                        <form method="post" action="{{ route('practice.begin') }}">
                            @csrf
                            <input type="hidden" name="fault" value="{{ $row['fault'] }}">
                            <button class="plain small"
                                aria-label="{{ __('practice.one') }}: {{ $row['name'] }}">{{ __('practice.one') }}</button>
                        </form>
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @if($done)
        <h2>{{ __('practice.done') }}</h2>
        <ul>
            @foreach($done as $line)
                <li>{{ $line }}</li>
            @endforeach
        </ul>
    @endif
</x-layout>
