<x-layout :title="__('readiness.checks.page')">
    <p class="small"><a href="{{ route('readiness') }}">{{ __('places.page.readiness') }}</a></p>
    @if($plan === null)
        <h1>{{ __('readiness.checks.page') }}</h1>
        <p class="words">{{ __('readiness.checks.says') }}</p>
        @if($keys)
            <form method="post" action="{{ route('checks.start') }}" class="narrow">
                @csrf
                <x-choose name="key" :label="__('readiness.checks.from')" :of="$keys" />
                <x-choose name="weekday" :label="__('readiness.checks.weekday')" :of="$weekdays" :value="1" />
                <button class="act">{{ __('readiness.checks.start') }}</button>
            </form>
        @else
            <p>{{ __('readiness.checks.no-cases', ['least' => $least]) }}</p>
        @endif
    @else
        <h1>{{ $title }}</h1>
        <p class="quiet">{{ $about }}</p>
        <x-notices />
        <h2>{{ $now }}</h2>
        <table class="rows checks">
            <thead>
                <tr>
                    <th>{{ __('readiness.checks.heads.who') }}</th>
                    <th class="num">{{ __('readiness.checks.heads.read') }}</th>
                    <th class="num">{{ __('readiness.checks.heads.units') }}</th>
                    <th>{{ __('readiness.checks.heads.plot') }}</th>
                    <th>{{ __('readiness.checks.heads.says') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach($people as $p)
                    <tr>
                        <th scope="row">{{ $p['name'] }}</th>
                        <td class="num">{{ $p['read'] }}</td>
                        <td class="num">{{ $p['units'] }}</td>
                        <td>
                            @if($p['plot'])
                                <svg class="watch" viewBox="0 0 {{ $p['plot']::WIDTH }} {{ $p['plot']::HEIGHT }}" role="img"
                                    aria-label="{{ $p['says'] }}">
                                    @foreach($p['plot']->lines as $line => $points)
                                        <polyline class="of-{{ $line }}" points="{{ $points }}" />
                                    @endforeach
                                </svg>
                            @endif
                        </td>
                        <td>
                            @if($p['beyond'])
                                <b>{{ $p['says'] }}</b>
                            @else
                                <span class="quiet">{{ $p['says'] }}</span>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <p class="small quiet">{{ __('readiness.checks.how', ['least' => $least, 'window' => $window]) }}</p>
        <form method="post" action="{{ route('checks.stop', $plan) }}" class="below">
            @csrf
            @method('delete')
            <button class="plain">{{ __('readiness.checks.stop') }}</button>
        </form>
    @endif
</x-layout>
