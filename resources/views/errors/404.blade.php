<x-layout title="Not found">
    <h1>Nothing is here</h1>
    <p class="words">Either there is no such page, or it is not yours to see now. What you were doing is kept.</p>
    <p><a class="act" href="/">Today</a></p>
</x-layout>
