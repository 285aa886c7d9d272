{{-- The way through a long list, a page at a time. --}}
@props(['pages', 'words' => 'shelf.pages'])
@if($pages->hasPages())
    <nav class="pages" aria-label="{{ __($words.'.nav') }}">
        @if($pages->previousPageUrl())
            <a class="act second" rel="prev" href="{{ $pages->previousPageUrl() }}">{{ __($words.'.earlier') }}</a>
        @endif
        @if($pages->nextPageUrl())
            <a class="act second" rel="next" href="{{ $pages->nextPageUrl() }}">{{ __($words.'.later') }}</a>
        @endif
        @if(method_exists($pages, 'total'))
            <span class="quiet small">
                {{ __($words.'.at', [
                    'from' => $pages->firstItem(),
                    'to' => $pages->lastItem(),
                    'of' => $pages->total(),
                ]) }}
            </span>
        @endif
    </nav>
@endif
