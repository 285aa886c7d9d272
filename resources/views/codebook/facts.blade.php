{{-- What the codebook says of a fault: App\Codebook\Pages\FaultSection. --}}
<dl class="facts">
    @foreach($f['facts'] as $name => $says)
        <dt>{{ $name }}</dt>
        <dd>{{ $says }}</dd>
    @endforeach
    <dt>{{ __('codebook.fault.seen-on') }}</dt>
    <dd class="grades">
        @foreach($f['seen'] as $seen)
            <span class="grade {{ $seen['grade'] }}" title="{{ $seen['hint'] }}">{{ $seen['says'] }}</span>
        @endforeach
    </dd>
</dl>
