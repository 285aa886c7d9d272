<h2 id="versions">{{ __('codebook.versions.title') }}</h2>
<p>
    {{ __('codebook.versions.in-use', ['version' => $version]) }}
    <a href="{{ route('codebook.document') }}">{{ __('codebook.versions.file') }}</a>
    {{ __('codebook.versions.whole') }}
    @foreach($versions as $line)
        <br><span class="small quiet">{{ $line }}</span>
    @endforeach
</p>
@if($changes)
    <details class="changes">
        <summary>{{ __('codebook.versions.since', ['version' => $changes['since']]) }}</summary>
        <dl class="facts">
            @foreach($changes['lines'] as $line)
                <dt>{{ $line['name'] }}</dt>
                <dd>{{ $line['says'] }}</dd>
            @endforeach
        </dl>
    </details>
@endif
@can('create', App\Models\CodebookVersion::class)
    <div class="ways">
        @if($draft === 'open')
            <a class="act" href="{{ route('codebook.draft') }}">{{ __('draft.open') }}</a>
        @else
            <form method="post" action="{{ route('codebook.draft.begin') }}">
                @csrf
                <button class="act">{{ __('draft.begin') }}</button>
            </form>
        @endif
        @if($draft === 'dropped')
            <form method="post" action="{{ route('codebook.draft.take-up') }}">
                @csrf
                <button class="act second">{{ __('draft.take-up') }}</button>
            </form>
        @endif
    </div>
    <form method="post" action="{{ route('codebook.store') }}" enctype="multipart/form-data" class="new-version">
        @csrf
        <div>
            <label class="label" for="document">{{ __('codebook.versions.document') }}</label>
            <input class="input" type="file" id="document" name="document" accept=".json,application/json" required>
        </div>
        <div>
            <label class="label" for="note">{{ __('codebook.versions.note') }}</label>
            <input class="input" id="note" name="note" minlength="5" maxlength="500" required>
        </div>
        <div><button class="act second">{{ __('codebook.versions.keep') }}</button></div>
    </form>
    <p class="small quiet">{{ __('codebook.versions.checked') }}</p>
@endcan
