{{-- The board's page, on a page and on paper. --}}
<p>{{ $what }}</p>
@if($few)
    <p>{{ __('report.board.few') }}</p>
@endif
@if($figures)
    <table class="figures">
        <tbody>
            @foreach($figures as $f)
                <tr><td class="big">{{ $f['value'] }}</td><td>{{ $f['says'] }}</td></tr>
            @endforeach
        </tbody>
    </table>
@endif
@if($rare)
    <p class="small quiet">{{ $rare }}</p>
@endif
@unless($few)
    <table class="halves">
        <tbody>
            <tr>
                @foreach(['best' => $best, 'worst' => $worst] as $which => $lines)
                    <td>
                        <h2>{{ __('report.board.'.$which) }}</h2>
                        @forelse($lines as $line)
                            <p>{{ $line }}</p>
                        @empty
                            <p>{{ __('report.board.none') }}</p>
                        @endforelse
                    </td>
                @endforeach
            </tr>
        </tbody>
    </table>
@endunless
@if($drills)
    <p>{{ $drills }}</p>
    <p class="small quiet">{{ __('cautions.drills') }}</p>
@endif
<h2>{{ __('report.board.decided') }}</h2>
@forelse($decisions as $d)
    <p>{{ $d['what'] }} <span class="small quiet">{{ $d['state'] }}</span></p>
@empty
    <p>{{ __('report.board.undecided') }}</p>
@endforelse
@if($more)
    <p class="small quiet">{{ __('report.board.more', ['n' => $more]) }}</p>
@endif
@if($meaning !== '')
    <h2>{{ __('report.board.meaning') }}</h2>
    <p>{{ $meaning }}</p>
@endif
<h2>{{ __('report.board.limits') }}</h2>
<p>
    @if($unsure)
        {{ __('report.board.unsure', ['unsure' => $unsure, 'all' => $all]) }}
    @endif
    {{ __('report.board.brackets') }} {{ __('report.board.one') }}
</p>
