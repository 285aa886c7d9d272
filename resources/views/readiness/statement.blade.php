<x-layout :title="__('readiness.statement.title')">
    <article class="statement">
        <p class="small no-print">
            <button type="button" class="plain" data-print>{{ __('readiness.statement.print') }}</button>
        </p>
        <p class="quiet">{{ $academy }}</p>
        <h1>{{ __('readiness.statement.title') }}</h1>
        <p class="says">{{ __('readiness.statement.text', ['name' => $name, 'rule' => $rule]) }}</p>
        <p class="quiet">{{ $about }}</p>
        <p>{{ __('readiness.statement.on', ['date' => $date, 'by' => $by, 'until' => $until]) }}</p>
        @if($conditions)
            <p>{{ __('readiness.decisions.under', ['conditions' => $conditions]) }}</p>
        @endif
        <p>{{ __('readiness.statement.evidence', ['cases' => $cases]) }}</p>
        <ul>
            @foreach($criteria as $c)
                <li>{{ __('readiness.statement.row', [
                    'name' => $c['name'], 'kind' => __("readiness.kinds.{$c['kind']}"), 'right' => $c['right'],
                    'calls' => $c['calls'],
                ]) }}</li>
            @endforeach
        </ul>
        <p>{{ __('readiness.statement.code') }}<br><b class="code">{{ $code }}</b></p>
        <p class="small">{{ __('readiness.statement.how', ['url' => route('readiness.verify')]) }}</p>
        <p class="small no-print">{{ __('readiness.statement.now', ['today' => $today, 'now' => $now]) }}</p>
        <p class="small quiet">{{ __('readiness.statement.note') }}</p>
    </article>
    <script type="module" src="@part('js/debrief/print.js')"></script>
</x-layout>
