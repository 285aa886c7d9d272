<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ $title }}</title>
    <style>
        @page { margin: 24mm 22mm; }
        body { font-family: 'DejaVu Sans', sans-serif; font-size: 10pt; line-height: 1.45; color: #1f1c16; }
        h1 { font-size: 15pt; margin: 0 0 1mm; }
        h2 { font-size: 11.5pt; margin: 6mm 0 1.5mm; border-top: 0.6pt solid #1f1c16; padding-top: 2mm;
            page-break-after: avoid; }
        p { margin: 0 0 1.5mm; }
        td { padding: 0 5mm 0 0; }
        .small { font-size: 8.5pt; color: #655f52; }
    </style>
</head>
<body>
    <h1>{{ $title }}</h1>
    <p class="small">{{ $when }}</p>
    <p>{{ $people ? __('debrief.minutes.people', ['people' => implode(', ', $people)]) : __('debrief.minutes.nobody') }}</p>
    @foreach($cases as $c)
        @if($c['begun'] || $c['notes'] !== '' || $c['decisions'])
            @include('debrief.minute')
            @foreach($c['votes'] as $vote)
                <p><b>{{ $vote['asks'] }}</b> <span class="small">{{ $vote['stage'] }}</span></p>
                @if($vote['results'])
                    <table>
                        @foreach($vote['results'] as $r)
                            <tr>
                                <td>{{ $r['answer'] }} {{ $r['right'] ? '('.__('debrief.votes.key').')' : '' }}</td>
                                <td>{{ $r['before'] }}{{ $r['after'] === null ? '' : " → {$r['after']}" }}</td>
                            </tr>
                        @endforeach
                    </table>
                @endif
                <p class="small">{{ $vote['change'] }}</p>
            @endforeach
            @foreach($c['decisions'] as $d)
                @include('debrief.decision')
            @endforeach
        @endif
    @endforeach
    @include('debrief.general')
    <p class="small">{{ __('debrief.minutes.secret') }}</p>
</body>
</html>
