<x-layout :title="$round->name">
    @php($zone = config('academy.zone'))
    <p class="small"><a href="{{ route('rounds') }}">Rounds</a></p>
    <h1>{{ $round->name }} is {{ $round->state === \Core\Sight\SittingState::Draft ? 'a draft' : $round->state->value }}</h1>
    <p class="quiet" style="margin: 0.2rem 0 0.8rem">
        {{ $round->isPanel() ? 'panel study' : 'staff round' }} · {{ $round->cases->count() }} cases{{ $round->wait_days ? ' in two parts, '.$round->wait_days.' days apart' : '' }} · {{ $round->members->count() }} members{{ $round->reveals ? ' · with a second look' : '' }} · lens {{ str_replace('-', ' ', $round->lens) }}
        @if($round->keyVersion) · scored against {{ $round->keyVersion->sitting->name }}, key version {{ $round->keyVersion->number }} @endif
        @foreach(['opened' => $round->opened_at, 'closed' => $round->closed_at, 'published' => $round->published_at] as $word => $when) @if($when) · {{ $word }} {{ $when->timezone($zone)->format('j M Y') }} @endif @endforeach
    </p>
    @php($steps = ['draft' => ['rounds.open', 'Open the round', 'Everybody gets the cases in an order of their own'.($round->isPanel() ? '.' : ', and the key is frozen.')], 'open' => ['rounds.close', 'Close the round', 'What is not handed in stays out. There is no way back.'], 'closed' => ['rounds.publish', 'Publish', $round->isPanel() ? 'The panel sees the spread of calls, the consensus and its grades.' : 'Each member sees their own figures, and the others\' without names.']])
    @if($work?->state->isUnderWay())
        <div class="notice" data-waits="{{ route('works.show', $work, false) }}" role="status"><p>{{ ['open' => 'It is being made ready to open.', 'key' => 'The key is being made from what was handed in.', 'publish' => 'The figures are being worked out; nobody sees anything before they are complete.'][$work->kind->value] }} You can leave this page.</p><progress max="1" value="{{ $work->progress }}" data-progress></progress>
        <form method="post" action="{{ route('works.cancel', $work) }}">@csrf @method('delete')<button class="plain small">{{ $work->cancelling ? 'being stopped …' : 'stop it' }}</button></form></div>
        <script type="module" src="/js/work.js"></script>
    @elseif(isset($steps[$round->state->value]))
        @if($work?->state === \App\Models\Enums\WorkState::Failed && $work->problem)<p class="notice refused" role="alert">{{ $work->problem }}</p>@endif
        <form method="post" action="{{ route($steps[$round->state->value][0], $round) }}" style="display: flex; gap: 1rem; align-items: center; margin-bottom: 0.6rem">@csrf<button class="act big">{{ $steps[$round->state->value][1] }}</button><span class="quiet">{{ $steps[$round->state->value][2] }}</span></form>
    @else
        <a class="act" href="{{ $round->isPanel() ? route('panel', $round) : route('agreement', $round) }}">{{ $round->isPanel() ? 'See the key' : 'See the figures' }}</a>
    @endif
    @if($round->state === \Core\Sight\SittingState::Closed && $round->isPanel() && ! $work?->state->isUnderWay())<p><a href="{{ route('panel', $round) }}">Look at the consensus and rule on conflicts first</a></p>@endif
    @if($progress->isNotEmpty())
        <h2>{{ $progress->sum('done') }} of {{ $progress->sum('cases') }} readings handed in</h2>
        <table class="rows" style="max-width: 52rem"><tr><th>Member</th><th>Handed in</th><th class="num">Cases</th><th>Last handed in</th></tr>
            @foreach($progress as $p)<tr><td>{{ $p->name }}</td><td style="width: 45%"><div class="bar" role="img" aria-label="{{ $p->done }} of {{ $p->cases }}"><i style="width: {{ 100 * $p->done / $p->cases }}%"></i></div></td><td class="num">{{ $p->done }} / {{ $p->cases }}</td><td class="quiet">{{ $p->last ? \Illuminate\Support\Carbon::parse($p->last)->timezone($zone)->format('j M, H:i') : '–' }}</td></tr>@endforeach
        </table>
    @endif
    @if($exposed)
        <h2>Read by people who had seen the answer</h2>
        <p>@foreach($exposed as $name => $n){{ $name }}, {{ $n }} {{ $n === 1 ? 'case' : 'cases' }}{{ $loop->last ? '.' : '; ' }}@endforeach <span class="quiet">These readings are kept, and left out of every blind figure.</span></p>
    @endif
    @if($bias)
        <h2>{{ $bias['changed'] === 0 ? 'Knowing the result changed no call' : 'Knowing the result changed '.$bias['changed'].' of '.number_format($bias['calls']).' calls' }}</h2>
        <p>{{ $bias['looks'] }} second looks are handed in. @foreach($bias['to'] as $presence => $n){{ $n }} became {{ str_replace('-', ' ', $presence) }}{{ $loop->last ? '.' : ', ' }} @endforeach The first cause was named otherwise in {{ $bias['causes'] }}. <span class="quiet">Figures are made from the first look alone.</span></p>
    @endif
    <h2>Cases</h2>
    <table class="rows" style="max-width: 52rem"><tr><th>Case</th><th>Swings</th><th>Device</th><th>Shown</th></tr>
        @foreach($cases as $case)<tr><td><a href="{{ route('bench', $case->recording) }}">{{ $case->recording->golfer->pseudonym }}, {{ $case->recording->club }}</a></td><td class="small">@if($case->kind === \Core\Reading\CaseKind::Single)one @else{{ $case->kind->value }}: @foreach($case->swings as $s)<a href="{{ route('bench', $s->recording) }}">{{ $case->swingName($s) }}</a>{{ $loop->last ? '' : ' · ' }}@endforeach @endif</td><td>{{ $case->recording->deviceClass()->label() }}</td><td class="quiet">{{ $case->shown()->label() }}</td></tr>@endforeach
    </table>
    @if($held)<p class="small quiet">{{ $held === 1 ? 'One more is' : $held.' more are' }} not shown to you: you have still to read {{ $held === 1 ? 'it' : 'them' }}, or the consent has ended.</p>@endif
</x-layout>
