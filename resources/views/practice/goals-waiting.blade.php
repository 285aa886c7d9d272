@if($goals)
    <h2><a href="{{ route('plans') }}">{{ __('plans.page') }}</a></h2>
    <ul>
        @foreach($goals as $g)
            <li>
                @unless($g['own'])
                    <b>{{ $g['who'] }}:</b>
                @endunless
                {{ $g['says'] }}
                @if($g['of'] > 1)
                    {{ $g['done'] }}/{{ $g['of'] }}
                @endif
                <span class="quiet small">{{ __('plans.until', ['due' => $g['due']]) }}</span>
                @if($g['late'])
                    <b>{{ __('plans.is-late') }}</b>
                @endif
            </li>
        @endforeach
    </ul>
@endif
