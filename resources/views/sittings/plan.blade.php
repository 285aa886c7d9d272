<x-layout :title="__('plan.page')">
    <p class="small"><a href="{{ route('rounds') }}">{{ __('plan.rounds') }}</a></p>
    <h1>{{ __('plan.page') }}</h1>
    <div data-plan>
        <nav class="parts steps" aria-label="{{ __('plan.steps.nav') }}">
            @foreach(['cases', 'people', 'precision', 'check'] as $step)
                <a href="#{{ $step }}" data-to="{{ $step }}">{{ $loop->iteration }} {{ __('plan.steps.'.$step) }}</a>
            @endforeach
        </nav>
        <div data-step="cases">@include('sittings.plan.suggestion')</div>
        <form method="post" action="{{ route('rounds.store') }}" data-plan-form>
            @csrf
            <section id="cases" data-step="cases">@include('sittings.plan.cases')</section>
            <section id="people" data-step="people">@include('sittings.plan.people')</section>
            <section id="precision" data-step="precision">@include('sittings.plan.precision')</section>
            <section id="check" data-step="check">@include('sittings.plan.check')</section>
        </form>
    </div>
    <x-words :of="['plan']" />
    <script type="module" src="@part('js/rounds/plan.js')"></script>
</x-layout>
