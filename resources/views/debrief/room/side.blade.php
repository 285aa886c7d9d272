{{-- What the room reads beside the swing, as far as it is shown. --}}
@if($over)
    <h1>{{ __('debrief.room.over') }}</h1>
@elseif(isset($why))
    <h1>{{ $why }}</h1>
@elseif($case === null)
    <h1>{{ __('debrief.room.wait') }}</h1>
@else
    <p class="where">{{ $case['name'] }} <span class="quiet">{{ $case['place'] }}</span></p>
    @if($noFilm)
        <p class="quiet">{{ $noFilm }}</p>
    @endif
    @if($topic)
        <h1>{{ $topic['name'] }} <span class="station">{{ $topic['station'] }}</span></h1>
        @if(! $topic['spread'])
            <p class="look">{{ $topic['lookFor'] }}</p>
        @endif
        @if($vote)
            @include('debrief.room.ballot')
        @endif
        @if($topic['spread'] && $vote && $vote['results'])
            <p class="small-spread">
                @foreach($topic['spread'] as $s)
                    <span class="whole"><b>{{ $s['n'] }}</b> <x-call :presence="$s['presence']" /></span>
                @endforeach
            </p>
        @elseif($topic['spread'])
            <table class="spread">
                @foreach($topic['spread'] as $s)
                    <tr>
                        <th scope="row"><x-call :presence="$s['presence']" /></th>
                        <td><svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true"><rect
                            class="{{ $s['presence'] }}" width="{{ $s['percent'] }}" height="10" /></svg></td>
                        <td class="num">{{ $s['n'] }}</td>
                    </tr>
                @endforeach
            </table>
            @if($topic['reasons'] && ! $topic['key'])
                <ul class="said">
                    @foreach(array_slice($topic['reasons'], 0, 4) as $r)
                        <li><x-call :presence="$r['presence']" /> “{{ $r['reason'] }}”</li>
                    @endforeach
                </ul>
            @endif
        @endif
        <dl class="truths">
            @if($topic['key'])
                <dt>{{ __('debrief.steps.panel') }}</dt>
                <dd>
                    @if($topic['key']['label'])
                        <x-call :presence="$topic['key']['label']" /> <x-grade :grade="$topic['key']['grade']" />
                    @else
                        {{ $topic['key']['says'] }}
                        @if($topic['key']['grade'])
                            <x-grade :grade="$topic['key']['grade']" />
                        @endif
                    @endif
                </dd>
            @endif
            @if($topic['measured'])
                <dt>{{ __('debrief.steps.measured') }}</dt>
                <dd>
                    @if($topic['measured']['why'])
                        @said($topic['measured']['why'], ['fault' => $topic['measured']['fault']])
                    @else
                        {{ __('debrief.room.no-measure') }}
                    @endif
                </dd>
            @endif
            @if($topic['flight'])
                <dt>{{ __('debrief.steps.flight') }}</dt>
                <dd>{{ $topic['flight'] }}</dd>
            @endif
            @if($topic['ruling'] !== null)
                <dt>{{ __('debrief.steps.ruling') }}</dt>
                <dd>{{ $topic['ruling'] === '' ? __('debrief.room.no-ruling') : "“{$topic['ruling']}”" }}</dd>
            @endif
        </dl>
    @endif
    @if($vote && ! $topic)
        @include('debrief.room.ballot')
    @endif
@endif
