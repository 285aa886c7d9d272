<x-layout title="Codebook">
    <h1>Codebook, version {{ $codebook->version }}</h1>
    <p style="margin: 0.3rem 0; max-width: 56rem"><b>Lens: {{ $codebook->lens->name }}.</b> {{ $codebook->lens->says }}</p>
    <p class="quiet small">Everything is said in lead and trail: lead is the side nearer the target. Severity: 1 slight – would not mention it first; 2 clear – would work on it; 3 dominant – nothing else matters until it changes.</p>
    @foreach($codebook->faults as $key => $f)
        <section id="{{ $key }}">
            <h2 style="display: flex; justify-content: space-between; align-items: center; gap: 1rem; flex-wrap: wrap">{{ ucfirst($f->name) }} <x-ribbon :at="[$f->station->value]" :width="300" :label="'Shows at '.$f->station->label()" /></h2>
            <dl class="facts">
                <dt>look for</dt><dd>{{ $f->lookFor }}</dd>
                <dt>in the trace</dt><dd>{{ $f->inTheTrace }}</dd>
                <dt>supported when</dt><dd>{{ $f->supported->words() }}</dd>
                <dt>contradicted when</dt><dd>{{ $f->contradicted->words() }}</dd>
                <dt>not to be taken for it</dt><dd>{{ implode(', ', $f->confusedWith) }}</dd>
                <dt>counter-example</dt><dd>{{ $f->counterExample }}</dd>
                @if($f->disagreement)<dt>good coaches disagree</dt><dd>{{ $f->disagreement }}</dd>@endif
                <dt>can be seen on</dt><dd>@foreach($evidence as $label => $shown)<span class="grade {{ $f->sight($shown)->value === 'observable' ? 'verified' : 'borderline' }}" style="margin-right: 0.3rem" title="{{ $f->proxy($shown) }}">{{ $label }}: {{ $f->sight($shown)->value }}</span> @endforeach</dd>
            </dl>
        </section>
    @endforeach
</x-layout>
