<x-layout :title="__('readiness.verify.title')">
    <h1>{{ __('readiness.verify.title') }}</h1>
    <form method="get" action="{{ route('readiness.verify') }}" class="verify">
        <x-field name="code" :label="__('readiness.verify.code')" :value="$code" :hint="__('readiness.verify.says')"
            autocomplete="off" maxlength="40" />
        <p class="ways"><button class="act">{{ __('readiness.verify.look') }}</button></p>
    </form>
    @if($found)
        <div role="status" @class(['truth', 'is-wrong' => ! $found['holds']])>
            <h2>{{ __($found['holds'] ? 'readiness.verify.holds' : 'readiness.verify.not') }}</h2>
            <p>{{ __('readiness.statement.text', ['name' => $found['name'], 'rule' => $found['rule']]) }}</p>
            <p>{{ __('readiness.statement.on', ['date' => $found['date'], 'by' => $found['by'], 'until' => $found['until']]) }}</p>
            <p>{{ __('readiness.statement.now', ['today' => $found['today'], 'now' => $found['now']]) }}</p>
        </div>
    @elseif($code !== '')
        <p role="status"><b>{{ __('readiness.verify.none') }}</b></p>
    @endif
</x-layout>
