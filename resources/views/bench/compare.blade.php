@php($fmt = fn (float $v): string => \Core\Number\Written::fixed($v, abs($v) < 5 ? 2 : 0))
@php($name = fn ($r): string => $r->golfer->pseudonym.', '.$r->club.($r->series ? ', '.$r->series : ''))
<x-layout :title="'Side by side – '.$first->golfer->pseudonym.' and '.$second->golfer->pseudonym" wide>
    <x-slot:head><x-stage-head script="compare" :fetch="[route('bench.evidence', $first, false), route('bench.evidence', $second, false)]" /></x-slot:head>
    <div class="bench compare" data-compare data-first="{{ route('bench.evidence', $first, false) }}" data-second="{{ route('bench.evidence', $second, false) }}">
        <section class="stage" aria-label="Two swings side by side">
            <div class="head">
                <h1><a href="{{ route('bench', $first) }}">{{ $name($first) }}</a> <span class="quiet">beside</span> <a href="{{ route('bench', $second) }}">{{ $name($second) }}</a></h1>
                <a class="small" href="{{ route('bench.compare', [$second, $first]) }}">change about</a>
                <span class="locks">
                    <select data-only-view aria-label="View"><option value="face-on">face-on</option><option value="down-the-line">down the line</option></select>
                    <select data-mode aria-label="Where the two are held together"><option value="stations">together at every station</option>@foreach(\Core\Motion\Station::cases() as $s)<option value="{{ $s->value }}" title="{{ $s->label() }}">together at {{ $s->value }}, in real time</option>@endforeach</select>
                </span>
            </div>
            <div class="films" data-only="face-on">
                @foreach(['' => 'first', 'second' => 'second'] as $of => $which)
                    @foreach(['face-on' => 'face-on', 'down-the-line' => 'down the line'] as $view => $words)
                        <figure class="{{ $view }}"><figcaption><b class="which {{ $which }}">{{ $which }}</b> {{ $words }}@if($of && $mirrored), {{ $second->golfer->handedness }}-handed and mirrored @endif <span data-caption></span></figcaption><div><canvas data-view="{{ $view }}" @if($of) data-of="{{ $of }}" @endif role="img" aria-label="The {{ $which }} golfer, {{ $words }}"></canvas></div></figure>
                    @endforeach
                @endforeach
            </div>
            <div class="ribbon-scrub" data-ribbon role="slider" tabindex="0" aria-label="Moment in the first swing" aria-valuemin="0" aria-valuemax="8" aria-valuenow="0"></div>
            <div class="transport">
                @foreach([['station-back', '⇤', 'previous station'], ['frame-back', '←', 'one frame back'], ['play', '▶', 'play or halt'], ['frame-on', '→', 'one frame on'], ['station-on', '⇥', 'next station'], ['speed', '1', 'speed'], ['feet', 'feet', 'near to the feet, or the whole picture']] as [$do, $sign, $words])<button type="button" data-do="{{ $do }}" title="{{ $words }}" aria-label="{{ $words }}">{{ $sign }}</button>@endforeach
                <output data-clock aria-live="off"></output>
            </div>
            <div class="lower">
                <div class="trace-box" data-trace><div class="caption">Lead share, % · solid first, dashed second<span data-apart></span></div><div class="plot" role="img" aria-label="Traces of lead share of both swings over the first’s time"></div></div>
                <div class="two-feet"><svg class="foot-map" data-foot-map viewBox="0 0 260 230" role="img" aria-label="Feet of the first golfer from above"></svg><svg class="foot-map" data-foot-map data-of="second" viewBox="0 0 260 230" role="img" aria-label="Feet of the second golfer from above"></svg></div>
            </div>
        </section>
        <aside class="side" aria-label="Differences">
            <h2 class="first">{{ $beyond === 0 ? 'Nothing measured differs beyond its uncertainty' : $beyond.' '.($beyond === 1 ? 'measure differs' : 'measures differ').' beyond their uncertainty' }}</h2>
            <p class="quiet small">{{ $bySeries ? "Means over {$counts[0]} and {$counts[1]} swings, cold ones set aside. ± is the half-width of a 95 % interval over the swings (Welch), joined with the instrument's own part." : 'Two single swings: ± joins the uncertainty of both measurements. It knows nothing of how much either golfer varies from swing to swing; one swing before and one after prove nothing.' }} Many measures are looked at together: one in twenty passes its interval by chance.</p>
            <form method="get" action="{{ route('bench.beside', $first) }}" class="beside"><label class="only-heard" for="other">Put another recording beside the first</label><select id="other" name="other">@foreach($candidates as $c)<option value="{{ $c['id'] }}" @selected($c['id'] === $second->public_id)>{{ $c['name'] }}</option>@endforeach</select><button class="act second">put beside</button></form>
            @php([$clear, $rest] = collect($rows)->partition(fn ($r) => $r['difference']?->isBeyond() ?? false))
            @foreach([[$clear, null], [$rest, $rest->count().' within their uncertainty, or not measured in both']] as [$list, $title])
                @if($list->isNotEmpty())
                    @if($title)<details class="group" @if($clear->isEmpty()) open @endif><summary>{{ $title }}</summary>@endif
                    <table class="rows differences"><thead><tr><th>Measure</th><th class="num">first</th><th class="num">second</th><th class="num">second − first</th></tr></thead><tbody>
                        @foreach($list as $row)
                            @php($d = $row['difference'])
                            <tr @class(['beyond' => $d?->isBeyond()])>
                                <td title="{{ ucfirst($row['definition']) }}"><a href="{{ route('codebook') }}#m-{{ $row['key'] }}">{{ $row['label'] }}</a> <span class="quiet small">{{ $row['unit'] }}</span></td>
                                @foreach(['first', 'second'] as $which)<td class="num">@if($row[$which]['value'] === null)<span class="quiet" title="{{ $row[$which]['reason'] }}">none</span>@elseif(is_string($row[$which]['value'])){{ $row[$which]['value'] }}@else{{ $fmt($row[$which]['value']) }}@endif</td>@endforeach
                                <td class="num">@if($d)<b>{{ $d->change > 0 ? '+' : '' }}{{ $fmt($d->change) }}</b> <small>± {{ \Core\Number\Written::fixed($d->uncertainty, $d->uncertainty < 1 ? 2 : 0) }}</small>@elseif($row['why'])<span class="quiet small">{{ $row['why'] }}</span>@endif</td>
                            </tr>
                        @endforeach
                    </tbody></table>
                    @if($title)</details>@endif
                @endif
            @endforeach
        </aside>
        @include('bench.keys')
        <x-words :of="['keys']" />
    </div>
    <script type="module" src="/js/bench/compare.js"></script>
</x-layout>
