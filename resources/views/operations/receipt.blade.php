<x-layout :title="__('erasure.receipt')">
    <p class="letterhead quiet">{{ $academy?->letterhead }}</p>
    <h1>{{ __('erasure.receipt') }}</h1>
    <dl class="facts words">
        <dt>{{ __('erasure.number') }}</dt>
        <dd>{{ $number }}</dd>
        <dt>{{ __('erasure.at') }}</dt>
        <dd>{{ $at }}</dd>
        <dt>{{ __('erasure.by') }}</dt>
        <dd>{{ $by }}</dd>
        <dt>{{ __('erasure.cause') }}</dt>
        <dd>{{ $why }}</dd>
    </dl>
    <h2>{{ __('erasure.gone') }}</h2>
    <ul class="words">
        @foreach($lines as $line)
            <li>{{ $line }}</li>
        @endforeach
    </ul>
    <p class="words">{{ __('erasure.stays') }}</p>
    <p class="words">{{ $backups }}</p>
    @if($houses !== '')
        <p class="words">{{ __('erasure.houses', ['days' => $houses]) }}</p>
    @endif
</x-layout>
