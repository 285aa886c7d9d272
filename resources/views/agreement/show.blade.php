<x-layout :title="__('agreement.head', ['round' => $round->name])">
    @if($erased)
        <p class="notice small">{{ __('agreement.erased', ['date' => $erased]) }}</p>
    @endif
    <div class="title-line">
        <h1>{{ $title }}</h1>
        @if($open && $study)
            <a class="act second" href="{{ route('debrief.first', $round) }}">{{ __('agreement.debrief') }}</a>
            <a class="act second" href="{{ route('reports.show', $round) }}">{{ __('report.page') }}</a>
        @endif
        @if($rounds)
            <nav class="small" aria-label="{{ __('agreement.rounds') }}">
                @foreach($rounds as $other)
                    <a href="{{ $other['url'] }}" @if($other['here']) aria-current="page"
                        @endif>{{ $other['word'] }}</a>
                @endforeach
            </nav>
        @endif
    </div>
    <p class="quiet about">{{ $about }}</p>
    @if($older)
        <p class="notice small">{{ __('agreement.older') }}</p>
    @endif
    @if($study)
        <nav class="parts" aria-label="{{ __('agreement.parts.nav') }}">
            @foreach($tabs as $tab)
                <a href="{{ $tab['url'] }}" @if($tab['here']) aria-current="page" @endif>{{ $tab['word'] }}</a>
            @endforeach
        </nav>
        @include('agreement.'.$part)
        <p class="small quiet computed">
            {{ $computed }}
            @if($export['size'])
                <a href="{{ route('agreement.export', $round) }}">
                    {{ __('agreement.export.take', ['size' => $export['size']]) }}
                </a>
            @endif
        </p>
        @if($export['work'])
            <x-under-way :work="$export['work']" />
        @elseif($open && ! $export['size'])
            @if($export['problem'])
                <p class="notice refused" role="alert">{{ $export['problem'] }}</p>
            @endif
            <form method="post" action="{{ route('agreement.make', $round) }}" class="below">
                @csrf
                <button class="act second">{{ __('agreement.export.make') }}</button>
            </form>
        @endif
    @endif
</x-layout>
