<x-layout :title="__('golfers.held.page', ['golfer' => $golfer->pseudonym])">
    <p class="letterhead quiet">{{ $letterhead }}</p>
    <p class="small on-screen"><a href="{{ route('golfers.show', $golfer) }}">{{ $golfer->pseudonym }}</a></p>
    <h1>{{ __('golfers.held.page', ['golfer' => $golfer->pseudonym]) }}</h1>
    <p class="quiet">{{ __('golfers.held.as-of', ['at' => $at]) }}</p>
    <dl class="facts words">
        <dt>{{ __('golfers.held.who') }}</dt>
        <dd>{{ $who }}</dd>
        <dt>{{ __('golfers.held.limits') }}</dt>
        <dd>{{ $limits ? implode('; ', $limits) : __('golfers.held.none') }}</dd>
        @if($golfer->notes)
            <dt>{{ __('golfers.held.notes') }}</dt>
            <dd>{{ $golfer->notes }}</dd>
        @endif
    </dl>
    <h2>{{ __('golfers.held.agreed') }}</h2>
    <ul class="words">
        @forelse($agreed as $a)
            <li>{{ $a }}</li>
        @empty
            <li>{{ __('golfers.held.none') }}</li>
        @endforelse
    </ul>
    <h2>{{ __('golfers.held.line') }}</h2>
    @foreach($sessions as $s)
        <div class="held-session words">
            <h3>{{ $s['day'] }}</h3>
            <dl class="facts">
                @foreach($s['said'] as $what => $text)
                    <dt>{{ $what }}</dt>
                    <dd>{{ $text }}</dd>
                @endforeach
            </dl>
            @if($s['balls'])
                <ul>
                    @foreach($s['balls'] as $b)
                        <li>{{ $b }}</li>
                    @endforeach
                </ul>
            @endif
        </div>
    @endforeach
    <table class="rows held">
        <tbody>
            @foreach($swings as $w)
                <tr>
                    <td>{{ $w['day'] }}</td>
                    <td>{{ $w['name'] }}</td>
                    <td>{{ $w['holds'] }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <p class="words">{{ __('golfers.held.read') }}</p>
    <p class="words">{{ __('golfers.held.rights') }}</p>
    <p class="words small quiet on-screen">{{ __('golfers.held.hidden') }}</p>
</x-layout>
