{{-- The films of a recording: bringing one in, what became of it, its clock. Expects $films, $mayMark. --}}
<h2 id="films">{{ __('films.title') }}</h2>
@foreach($films as $row)
    <section class="film-row" data-film-row="{{ $row['view'] }}"
        aria-label="{{ __('films.row', ['view' => $row['name']]) }}"
        @if($row['underWay']) data-watch="{{ route('films.state', $row['film']) }}" @endif>
        <h3>{{ $row['name'] }}</h3>
        @if($row['ready'])
            <p class="small">{{ $row['says'] }}</p>
            @if($mayMark)
                @include('shelf.film-clock', ['film' => $row['film']])
            @endif
        @else
            @if($row['trouble'])
                <p class="notice refused small">{{ $row['trouble'] }}</p>
            @endif
            @if($row['underWay'])
                <p class="small" data-words>{{ $row['says'] }}</p>
                <progress max="1" value="{{ $row['film']->progress }}"
                    aria-label="{{ __('films.conversion') }}"></progress>
            @elseif($mayMark)
                @if($row['arriving'])
                    <p class="small quiet">{{ $row['arriving'] }}</p>
                @endif
                <form data-upload="{{ route('films.store', $recording) }}" data-view="{{ $row['view'] }}">
                    <label class="small">{{ __('films.file') }}
                        <input type="file" accept="video/mp4,video/quicktime,video/webm,.mov,.mp4,.webm"
                            name="file"></label>
                    <label class="small">{{ __('films.plays') }}
                        <select name="slowed">
                            @foreach(__('films.speeds') as $times => $name)
                                <option value="{{ $times }}">{{ $name }}</option>
                            @endforeach
                        </select></label>
                    <progress max="1" value="0" hidden aria-label="{{ __('films.upload') }}"></progress>
                    <p class="small" role="status" data-words></p>
                </form>
            @else
                <p class="small quiet">{{ __('films.none') }}</p>
            @endif
        @endif
    </section>
@endforeach
