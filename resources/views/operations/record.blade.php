<x-layout title="Record">
    <h1>Record of what was done</h1>
    @if($entries->isEmpty())<p style="margin-top: 1rem">Openings, hand-ins, closings, publications and rulings are written down here as they happen.</p>@endif
    <table class="rows" style="margin-top: 0.8rem"><tr><th>When</th><th>Who</th><th>What</th><th>On</th><th></th></tr>
        @foreach($entries as $e)
            <tr><td class="quiet">{{ $e->created_at->timezone(config('academy.zone'))->format('j M Y, H:i') }}</td><td>{{ $e->user?->name ?? 'a command' }}</td><td><b>{{ $e->action }}</b></td><td>{{ $e->subject }}</td><td class="small quiet">{{ collect($e->details)->filter(fn ($v) => $v !== null)->map(fn ($v, $k) => str_replace('_', ' ', $k).': '.$v)->join(' · ') }}</td></tr>
        @endforeach
    </table>
    <p style="margin-top: 0.8rem">@if($entries->previousPageUrl())<a href="{{ $entries->previousPageUrl() }}">later</a>@endif @if($entries->nextPageUrl())<a href="{{ $entries->nextPageUrl() }}">earlier</a>@endif</p>
</x-layout>
