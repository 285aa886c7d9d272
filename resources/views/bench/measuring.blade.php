<x-layout :title="__('bench.measuring.page')">
    <div data-waits="{{ $state }}">
        <h1>{{ __('bench.measuring.title', ['name' => $name]) }}</h1>
        <p class="words" role="status">{{ __('bench.measuring.says') }}</p>
    </div>
    <script type="module" src="@part('js/work.js')"></script>
</x-layout>
