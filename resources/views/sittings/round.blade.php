<x-layout :title="$round->name">
    <p class="small"><a href="{{ route('rounds') }}">{{ __('round.rounds') }}</a></p>
    <h1>{{ $title }}</h1>
    <p class="quiet about">{{ $about }}</p>
    @if($work)
        <x-under-way :work="$work" />
    @elseif($next)
        @if($problem)
            <p class="notice refused" role="alert">{{ $problem }}</p>
        @endif
        <form method="post" action="{{ $next['url'] }}" class="next">
            @csrf
            <button class="act big">{{ $next['act'] }}</button>
            <span class="quiet">{{ $next['says'] }}</span>
        </form>
    @else
        <a class="act" href="{{ $result }}">{{ __($round->isPanel() ? 'round.see.panel' : 'round.see.staff') }}</a>
    @endif
    @if($first)
        <p><a href="{{ $result }}">{{ __('round.first') }}</a></p>
    @endif
    <div @if($follows) data-follow="{{ route('rounds.progress', $round) }}" @endif>@include('sittings.progress')</div>
    @if($follows)
        <script type="module" src="@part('js/rounds/progress.js')"></script>
    @endif
    @if($run)
        @include('sittings.run')
    @endif
    @if($handedIn)
        <details class="group">
            <summary>{{ __('round.reopen.title') }}</summary>
            <p class="small quiet">{{ __('round.reopen.says') }}</p>
            <form method="post" action="{{ route('rounds.reopen', $round) }}" class="in-line">
                @csrf
                <div class="select">
                    <select name="reading" aria-label="{{ __('round.reopen.which') }}">
                        @foreach($handedIn as $one)
                            <option value="{{ $one['id'] }}">{{ $one['says'] }}</option>
                        @endforeach
                    </select>
                </div>
                <button class="act second">{{ __('round.reopen.act') }}</button>
            </form>
        </details>
    @endif
    @if($own)
        <h2>{{ __('round.own.title') }}</h2>
        <p>{{ $own }}</p>
    @endif
    @if($toldApart)
        <h2>{{ __('round.told-apart.title') }}</h2>
        <p>{{ $toldApart }} <span class="quiet">{{ __('round.told-apart.instead') }}</span></p>
    @endif
    @if($exposed)
        <h2>{{ __('round.exposed.title') }}</h2>
        <p>{{ $exposed }} <span class="quiet">{{ __('round.exposed.kept') }}</span></p>
    @endif
    @if($bias)
        <h2>{{ $bias['title'] }}</h2>
        <p>{{ $bias['says'] }} <span class="quiet">{{ __('round.bias.first') }}</span></p>
    @endif
    <h2>{{ __('round.case-list') }}</h2>
    <table class="rows mid">
        <thead>
            <tr>
                @foreach(['case', 'swings', 'device', 'shown'] as $head)
                    <th>{{ __('round.heads.'.$head) }}</th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach($cases as $case)
                <tr>
                    <td>
                        <a href="{{ $case['url'] }}">{{ $case['name'] }}</a>
                        @if($case['out'])
                            <span class="small quiet">{{ $case['out'] }}</span>
                        @endif
                    </td>
                    <td class="small">
                        {{ $case['kind'] }}
                        @foreach($case['swings'] as $swing)
                            · <a href="{{ $swing['url'] }}">{{ $swing['name'] }}</a>
                        @endforeach
                    </td>
                    <td>{{ $case['device'] }}</td>
                    <td class="quiet">
                        {{ $case['shown'] }}
                        @if($case['kept'])
                            · <b>{{ __('round.kept') }}</b>
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @if($held)
        <p class="small quiet">{{ $held }}</p>
    @endif
</x-layout>
