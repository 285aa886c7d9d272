<x-layout :title="$title.' – '.$round->name">
    <p class="small">
        <a href="{{ route('agreement', [$round, 'part' => 'faults']) }}">{{ $round->name }}</a> ·
        <a href="{{ route('codebook') }}#{{ $fault }}">{{ __('agreement.behind.codebook') }}</a>
    </p>
    <h1>{{ $title }}</h1>
    <p class="quiet about">{{ $about }}</p>
    @include('agreement.calls-table')
    <x-pages :pages="$pages" words="agreement.behind.pages" />
    <p class="small quiet">{{ __('agreement.behind.says') }}</p>
</x-layout>
