<x-layout :title="__('today.page')">
    @foreach($following as $round)
        <h1>{{ $round['says'] }}</h1>
        <p class="below"><a class="act big" href="{{ $round['url'] }}">{{ __('panel.following.go') }}</a></p>
    @endforeach
    @forelse($open as $r)
        <h1>{{ $r['name'] }}</h1>
        <p class="quiet about">{{ $r['about'] }}</p>
        @if($r['due'])
            <p><b>{{ $r['due'] }}</b> <a class="small" href="{{ $r['calendar'] }}">{{ __('today.calendar') }}</a></p>
        @endif
        <div class="tiles">
            @foreach($r['tiles'] as $tile)
                <div><b>{{ $tile['n'] }}</b>{{ $tile['word'] }}</div>
            @endforeach
        </div>
        <p class="below"><x-done :done="$r['done']" :of="$r['of']" /></p>
        @if($r['act'])
            <a class="act big" href="{{ route('read.next') }}" autofocus>{{ $r['act'] }}</a>
        @endif
        @if($r['says'])
            <p>{{ $r['says'] }}</p>
        @endif
        <h2>{{ __('today.cases') }}</h2>
        <table class="rows slim">
            <thead>
                <tr>
                    <th>{{ __('today.case') }}</th>
                    <th>{{ __('today.state-head') }}</th>
                    <th></th>
                    @if($r['reveals'])
                        <th>{{ __('today.second-look') }}</th>
                    @endif
                </tr>
            </thead>
            <tbody>
                @foreach($r['readings'] as $reading)
                    <tr>
                        <td>{{ $reading['position'] }}</td>
                        <td class="quiet">{{ $reading['state'] }}</td>
                        <td class="num"><x-way :url="$reading['url']" :word="$reading['way']" /></td>
                        @if($r['reveals'])
                            <td class="quiet"><x-way :url="$reading['again']['url']"
                                :word="$reading['again']['word']" /></td>
                        @endif
                    </tr>
                @endforeach
            </tbody>
        </table>
    @empty
        <h1>{{ __('today.page') }}</h1>
        <p class="words">{{ __('today.nothing') }}</p>
    @endforelse
    @foreach($waiting as $r)
        <h2>{{ $r['name'] }}</h2>
        <p>{{ __('today.waiting') }}</p>
    @endforeach
    @if($published)
        <h2>{{ __('today.published') }}</h2>
        <ul>
            @foreach($published as $r)
                <li><a href="{{ $r['url'] }}">{{ $r['name'] }}</a> <span class="quiet">{{ $r['published'] }}</span></li>
            @endforeach
        </ul>
    @endif
    @include('practice.goals-waiting')
    @include('debrief.waiting')
</x-layout>
