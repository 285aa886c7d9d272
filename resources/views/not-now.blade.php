<x-layout title="Not now">
    <h1>Not now</h1>
    <p class="words">{{ __("sight.$why") }}</p>
    <p><a class="act" href="{{ route('read.next') }}">Next case</a> <a href="{{ route('today') }}">Today</a></p>
</x-layout>
