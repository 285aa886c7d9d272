<figure class="why-chart preview">
    <figcaption>{{ $preview['stretch'] }}</figcaption>
    <svg viewBox="0 0 {{ $preview['chart']::WIDTH }} {{ $preview['chart']::HEIGHT }}" role="img"
        aria-label="{{ __('import.drawn') }}">
        <defs>
            <pattern id="hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <line class="hatch" x1="0" y1="0" x2="0" y2="8" />
            </pattern>
        </defs>
        @foreach($preview['chart']->spans as [$from, $width])
            <rect class="wrong" x="{{ $from }}" y="6" width="{{ $width }}" height="168" />
        @endforeach
        @foreach($preview['chart']->stations as $station)
            <line class="notch" x1="{{ $station->x }}" x2="{{ $station->x }}" y1="6" y2="174" />
            <text class="station" x="{{ $station->x }}" y="{{ $station->y }}">{{ $station->text }}</text>
        @endforeach
        @foreach($preview['chart']->levels as $level)
            <line class="notch" x1="40" x2="632" y1="{{ $level->y }}" y2="{{ $level->y }}" />
            <text class="tick" x="{{ $level->x }}" y="{{ $level->y }}" dy="4">{{ $level->text }}</text>
        @endforeach
        <path class="curve" d="{{ $preview['chart']->curve }}" />
    </svg>
</figure>
<dl class="facts">
    @foreach($preview['facts'] as $name => $says)
        <dt>{{ $name }}</dt>
        <dd>{{ $says }}</dd>
    @endforeach
    <dt>{{ __('import.facts.stations') }}</dt>
    <dd>
        @forelse($preview['stations'] as $s)
            <span @class(['doubt' => $s['doubt']]) title="{{ $s['doubt'] }}">{{ $s['says'] }}</span>
        @empty
            {{ __('import.no-stations') }}
        @endforelse
    </dd>
    <dt>{{ __('import.facts.measured') }}</dt>
    <dd>{{ $preview['measured'] }}</dd>
    <dt>{{ __('import.facts.quality') }}</dt>
    <dd>
        @forelse($preview['quality'] as $note)
            <div class="found">
                <p>{{ $note['says'] }} <span class="quiet">{{ $note['effect'] }}</span></p>
                @if($note['repair'])
                    <form method="post" action="{{ route('imports.repair', $import) }}">
                        @csrf
                        <input type="hidden" name="repair" value="{{ $note['repair'] }}">
                        <button class="act second small">{{ __("import.repairs.{$note['repair']}.do") }}</button>
                    </form>
                @endif
                @if($note['cut'])
                    <form method="post" action="{{ route('imports.cut', $import) }}">
                        @csrf
                        <button class="act second small">{{ __('import.cut') }}</button>
                    </form>
                @endif
            </div>
        @empty
            {{ __('import.nothing-wrong') }}
        @endforelse
    </dd>
    @if($repaired !== [])
        <dt>{{ __('import.facts.repaired') }}</dt>
        <dd>
            @foreach($repaired as $is)
                <p>{{ $is }}</p>
            @endforeach
            <form method="post" action="{{ route('imports.repair.back', $import) }}">
                @csrf
                @method('delete')
                <button class="act second small">{{ __('import.take-back') }}</button>
            </form>
        </dd>
    @endif
    @foreach($preview['assumed'] as $note)
        <dt>{{ __('import.facts.assumed') }}</dt>
        <dd>{{ $note }}</dd>
    @endforeach
</dl>
@if($preview['proposed'])
    <p class="small quiet">{{ __('import.proposed') }}</p>
@endif
