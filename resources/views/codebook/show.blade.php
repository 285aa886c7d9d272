<x-layout title="Codebook">
    <h1>Codebook, version {{ $codebook->version }}</h1>
    <nav class="lenses" aria-label="Lens" style="margin-top: 0.6rem">@foreach($lenses as $key => $name)<a href="{{ route('codebook', ['lens' => $key]) }}" @if($key === $codebook->lens->key) aria-current="true" @endif>{{ $name }}</a>@endforeach <a href="#drills">drills</a><a href="#bands">bands</a><a href="#measures">measures</a><a href="#words">words</a></nav>
    <p style="margin: 0.3rem 0; max-width: 56rem">{{ $codebook->lens->says }}</p>
    <p class="quiet small">@foreach($codebook->lens->footwork as $what => $says){{ ucfirst($what) }}: {{ $says }}. @endforeach</p>
    <p class="quiet small">Everything is said in lead and trail: lead is the side nearer the target. Severity: 1 slight – would not mention it first; 2 clear – would work on it; 3 dominant – nothing else matters until it changes.</p>
    @foreach($codebook->faults as $key => $f)
        <section id="{{ $key }}">
            <h2 style="display: flex; justify-content: space-between; align-items: center; gap: 1rem; flex-wrap: wrap"><span>{{ ucfirst($f->name) }} @if($differs($key))<span class="badge">lenses differ</span>@endif</span> <x-ribbon :at="[$f->station->value]" :width="300" :label="'Shows at '.$f->station->label()" /></h2>
            <dl class="facts">
                <dt>look for</dt><dd>{{ $f->lookFor }}</dd>
                <dt>in the trace</dt><dd>{{ $f->inTheTrace }}</dd>
                <dt>supported when</dt><dd>@said($f->supported->remark())</dd>
                <dt>contradicted when</dt><dd>@said($f->contradicted->remark())</dd>
                @if($f->confusedWith)<dt>not to be taken for it</dt><dd>{{ implode(', ', $f->confusedWith) }}</dd>@endif
                <dt>counter-example</dt><dd>{{ $f->counterExample }}</dd>
                @if($f->misses)<dt>tends to give</dt><dd>{{ implode(', ', $f->misses) }}</dd>@endif
                @if($f->cause)<dt>often comes from</dt><dd>{{ $f->cause }}</dd>@endif
                @if($f->consequence)<dt>often leads to</dt><dd>{{ $f->consequence }}</dd>@endif
                @if($f->disagreement)<dt>good coaches disagree</dt><dd>{{ $f->disagreement }}</dd>@endif
                <dt>can be seen on</dt><dd>@foreach($evidence as $label => $shown)<span class="grade {{ $f->observability($shown)->value === 'observable' ? 'verified' : ($f->observability($shown)->value === 'indirect' ? 'borderline' : 'contested') }}" style="margin-right: 0.3rem" title="@if($proxy = $f->proxy($shown))@said($proxy)@endif">{{ $label }}: {{ $f->observability($shown)->value }}</span> @endforeach</dd>
            </dl>
        </section>
    @endforeach
    <h2 id="drills">Drills</h2>
    <p class="notice small">{{ \Core\Codebook\Drill::CAUTION }}</p>
    @foreach($codebook->drills() as $key => $d)
        <details class="group" id="d-{{ $key }}"><summary><b>{{ ucfirst($d->name) }}</b> – {{ $d->harms ? 'rarely helps anybody' : 'for '.$d->for }}</summary>
            <dl class="facts small">
                <dt>{{ $d->harms ? 'why not' : 'not to be used' }}</dt><dd>{{ $d->not }}</dd>
                @if($d->setUp)<dt>set-up</dt><dd>{{ $d->setUp }}</dd>@endif
                @if($d->steps)<dt>steps</dt><dd>{{ implode(' ', $d->steps) }}</dd>@endif
                <dt>how far</dt><dd>{{ $d->far }}</dd>
                @if($d->expected)<dt>if it works</dt><dd>{{ collect($d->expected)->map(fn ($says, $m) => \Core\Measurement\Measure::from($m)->label().' '.$says)->join('; ') }}</dd>@endif
                @if($d->caution)<dt>caution</dt><dd>{{ $d->caution }}</dd>@endif
            </dl>
        </details>
    @endforeach
    <h2 id="bands">Where the lenses draw their bands</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="A table that may reach beyond the page"><table class="rows spread-table"><tr><th>Measure</th>@foreach($all as $book)<th class="num">{{ $book->lens->name }}</th>@endforeach</tr>
        @foreach(collect($all)->flatMap(fn ($b) => array_keys($b->lens->bands))->unique() as $name)
            @php([$m, $at] = array_pad(explode('@', $name), 2, null))
            <tr><td><a href="#m-{{ $m }}">{{ \Core\Measurement\Measure::from($m)->label() }}{{ $at ? ' at '.$at : '' }}</a> <span class="quiet small">{{ \Core\Measurement\Measure::from($m)->unit() }}</span></td>@foreach($all as $book)<td class="num">@isset($book->lens->bands[$name]){{ \Core\Number\Written::short($book->lens->bands[$name][0]) }} … {{ \Core\Number\Written::short($book->lens->bands[$name][1]) }}@else – @endisset</td>@endforeach</tr>
        @endforeach
    </table></div>
    <h2 id="measures">What is measured</h2>
    <dl class="facts">@foreach($measures as $m)<dt id="m-{{ $m->value }}">{{ $m->label() }}</dt><dd>{{ ucfirst($m->definition()) }}. <span class="quiet small">{{ $m->unit() }}{{ $m->isByStation() ? ', at stations' : '' }} · {{ $m->value }}</span></dd>@endforeach</dl>
    <h2 id="words">Words</h2>
    <dl class="facts">@foreach($words as $word => $means)<dt>{{ $word }}</dt><dd>{{ $means }}</dd>@endforeach</dl>
    <h2 id="versions">Versions</h2>
    <p>In use: version {{ $codebook->version }}. <a href="{{ route('codebook.document') }}">Take it as a file</a> – every rule, band and text is in it.@foreach($versions as $v)<br><span class="small quiet">{{ $v->version }}, {{ $v->created_at->format('j M Y') }}: {{ $v->note }}</span>@endforeach</p>
    @can('run-academy')
        <form method="post" action="{{ route('codebook.store') }}" enctype="multipart/form-data" style="display: grid; grid-template-columns: repeat(auto-fit, minmax(220px, 1fr)); gap: 0.8rem 1.2rem; max-width: 52rem; margin-top: 0.8rem">
            @csrf
            <div><label class="label" for="document">An edited codebook, JSON, with a version of its own</label><input class="input" style="padding: 0.4rem" type="file" id="document" name="document" accept=".json,application/json" required></div>
            <div><label class="label" for="note">What has changed, and why</label><input class="input" id="note" name="note" minlength="5" maxlength="500" required></div>
            <div style="align-self: end"><button class="act second">Check and keep it</button></div>
        </form>
        <p class="small quiet" style="margin-top: 0.5rem">It is checked whole. A version is never changed; rounds under way go on with the one they were opened with.</p>
    @endcan
</x-layout>
