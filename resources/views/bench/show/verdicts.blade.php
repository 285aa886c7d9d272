<h2 class="first">{{ __('bench.say') }}</h2>
<x-terms :of="['supported', 'not-measurable', 'margin', 'indirect', 'lens']" />
@if($verdicts['notJudged'])
    <p class="notice">{{ $verdicts['notJudged'] }}</p>
@endif
@foreach($verdicts['groups'] as $group)
    @if($group['folded'])
        <details class="group"><summary>{{ $group['title'] }}</summary>
    @endif
    @foreach($group['rows'] as $row)
        <details class="verdict" data-why="{{ $row['url'] }}" @if($row['open']) open @endif>
            <summary>
                <span class="name">{{ $row['name'] }}
                    @if($row['badge'])
                        <span class="badge" title="{{ $row['badge'] }}">{{ __('bench.differ') }}</span>
                    @endif
                </span>
                <span class="{{ $group['key'] }}">{{ $group['name'] }} <span
                    class="quiet small">{{ $row['margin'] }}</span></span>
            </summary>
            <p>{{ implode(' ', $row['says']) }}</p>
            <div data-curves></div>
        </details>
    @endforeach
    @if($group['folded'])
        </details>
    @endif
@endforeach
@if($verdicts['off'])
    <p class="small quiet">{{ $verdicts['off'] }}</p>
@endif
