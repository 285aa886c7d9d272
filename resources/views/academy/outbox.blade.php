<x-layout :title="__('academy.letters.page')">
    <p class="small"><a href="{{ route('academy') }}">{{ __('academy.page') }}</a></p>
    <h1>{{ __('academy.letters.page') }}</h1>
    <p class="words">{{ __('academy.letters.says') }}</p>
    @forelse($letters as $letter)
        <details class="letter">
            <summary>
                <b>{{ $letter->subject }}</b> {{ $letter->recipient }}
                <span class="quiet small">{{ $letter->created_at->timezone($zone)->format('j M, H:i') }}</span>
            </summary>
            <pre>{{ $letter->body }}</pre>
        </details>
    @empty
        <p class="words">{{ __('academy.letters.none') }}</p>
    @endforelse
    <x-pages :pages="$letters" words="record.pages" />
</x-layout>
