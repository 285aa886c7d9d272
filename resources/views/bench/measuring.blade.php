<x-layout title="Being measured">
    <div data-waits="{{ $state }}">
        <h1>{{ $recording->golfer->pseudonym }}, {{ $recording->club }} is being measured</h1>
        <p class="words" role="status">This takes a few seconds. The page fills itself in; you can leave it and come back.</p>
    </div>
    <script type="module" src="/js/work.js"></script>
</x-layout>
