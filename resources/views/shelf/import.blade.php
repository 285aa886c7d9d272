<x-layout :title="__('import.page')">
    <h1>{{ $import->file_name }}</h1>
    <p class="quiet">{{ $about }}</p>
    <div class="import">
        <section aria-label="{{ __('import.become') }}">
            @if($problem)
                <p class="notice refused" role="alert">{{ $problem }}</p>
            @endif
            @if($preview)
                @include('shelf.import.preview')
            @endif
            <div class="ways">
                @if($preview)
                    <form method="post" action="{{ route('imports.finish', $import) }}">
                        @csrf
                        <button class="act">{{ __('import.keep') }}</button>
                    </form>
                @endif
                <form method="post" action="{{ route('imports.drop', $import) }}">
                    @csrf
                    @method('delete')
                    <button class="act second">{{ __('import.leave') }}</button>
                </form>
            </div>
        </section>
        <form method="post" action="{{ route('imports.update', $import) }}" class="settings"
            aria-label="{{ __('import.set-right') }}">
            @csrf
            @method('put')
            @include('shelf.import.swing')
            @if($columns !== [])
                @include('shelf.import.columns')
            @endif
            <button class="act second again">{{ __('import.again') }}</button>
        </form>
    </div>
</x-layout>
