<button type="button" class="term" popovertarget="{{ $id }}">{{ $slot }}</button><span id="{{ $id }}" popover
    class="term-means"><b>{{ $word }}</b>: {{ $means }}
    <a class="small" href="{{ route('codebook') }}#w-{{ $of }}">{{ __('figures.all-words') }}</a></span>
