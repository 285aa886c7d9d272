{{-- How the room voted, in totals. Expects $vote as VotePage gives it. --}}
@if($vote['results'])
    <table class="tally">
        @foreach($vote['results'] as $r)
            <tr @class(['right' => $r['right']])>
                <th scope="row">{{ $r['answer'] }}@if($r['right']) <span class="small">{{
                    __('debrief.votes.key') }}</span>@endif</th>
                <td>
                    <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
                        <rect class="was" width="{{ 100 * $r['before'] / $r['most'] }}" height="5" />
                        @if($r['after'] !== null)
                            <rect class="is" y="6" width="{{ 100 * $r['after'] / $r['most'] }}" height="6" />
                        @endif
                    </svg>
                </td>
                <td class="num">{{ $r['before'] }}@if($r['after'] !== null) → <b>{{ $r['after'] }}</b>@endif</td>
            </tr>
        @endforeach
    </table>
    @if($vote['change'])
        <p class="small">{{ $vote['change'] }}</p>
    @endif
@endif
