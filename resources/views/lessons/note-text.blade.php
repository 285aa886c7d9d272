{{-- The note itself, for the screen and for paper. Cautions are part of it: nothing takes them out. --}}
<h1>{{ $cue }}</h1>
@if($image)
    <p class="image">{{ __('note.or', ['image' => $image]) }}</p>
@endif
<p class="about">{{ __('note.about', ['golfer' => $golfer, 'day' => $day, 'by' => $by]) }}</p>
<h2>{{ $drill }}</h2>
@if($drawing)
    <p class="drawing"><img src="{{ $paper ? $drawingData : asset($drawing) }}" alt=""></p>
@endif
<p>{{ $setUp }} {{ implode(' ', $steps) }}</p>
<p><b>{{ $how }}</b></p>
<table>
    @foreach($rows as $name => $says)
        <tr>
            <th scope="row">{{ __("note.rows.$name") }}</th>
            <td>{{ $says }}</td>
        </tr>
    @endforeach
</table>
@if($stills)
    <div class="stills">
        @foreach($stills as $s)
            <figure>
                @if($paper)
                    <img class="still" src="{{ $s['picture'] }}" alt="">
                @else
                    @include('lessons.still', ['still' => $s])
                @endif
                <figcaption>{{ __("note.stills.{$s['which']}", ['station' => __("stations.names.{$s['station']}")]) }}</figcaption>
            </figure>
        @endforeach
    </div>
@endif
<div class="cautions">
    @if($stop)
        <p><b>{{ __('note.stop') }}</b> {{ $stop }}</p>
    @endif
    @if($spare)
        <p><b>{{ __('note.spare') }}</b> {{ $spare }}.</p>
    @endif
    @foreach($against as $says)
        <p><b>{{ __('note.against') }}</b> {{ $says }}. {{ __('note.reason', ['reason' => $reason]) }}</p>
    @endforeach
    @if($caution)
        <p>{{ $caution }}</p>
    @endif
    @if($minor)
        <p>{{ __('note.minor') }}</p>
    @endif
    <p>{{ __('cautions.drills') }}</p>
</div>
<p class="next">
    @if($until)
        {{ __('note.until', ['until' => $until]) }}
    @endif
    <b>{{ __('note.next', ['next' => $next]) }}</b>
</p>
