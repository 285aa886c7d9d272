<?php

declare(strict_types=1);

namespace App\Debrief\Pages;

use App\Bench\Pages\TraceTitle;
use App\Codebook\Codebooks;
use App\Debrief\Debrief;
use App\Models\Academy;
use App\Models\CaseSwing;
use App\Models\Casts\Cell;
use App\Models\DebriefSession;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Words\Term;
use Core\Number\Written;
use Core\Reading\CaseKind;
use Core\Reading\Presence;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;

/**
 * One case of a debrief as its page shows it: the swing, what was said of it, and the way to the other cases.
 *
 * @phpstan-import-type Said from Debrief
 * @phpstan-import-type Turn from Debrief
 * @phpstan-import-type SaidFault from Debrief
 * @phpstan-import-type Pin from Debrief
 */
final readonly class DebriefPage
{
    /** So many cases are ticked for a debrief of each kind: the most to talk about, the most left open. */
    private const PICKED = 5;

    /** Counts of a fault's calls, by what was called. */
    private const COUNTS = ['present' => 'present', 'absent' => 'absent', 'cannot-tell' => 'unsure'];

    public function __construct(private Debrief $debrief, private Codebooks $codebooks)
    {
    }

    /**
     * @param  list<Turn>  $order
     * @param  bool  $film  whether the film of every swing may be shown to a room
     * @return array<string, mixed>
     */
    public function of(Sitting $round, SittingCase $case, int $place, array $order, bool $film): array
    {
        $said = $this->debrief->of($round, $case);
        $people = $said['people'];
        $names = array_column($people, 'name', 'letter');
        $recording = $case->recording;

        return [
            'round' => $round,
            'title' => self::name($recording),
            'place' => (string) __('debrief.place', ['place' => $place, 'of' => count($order)]),
            'about' => (string) __('debrief.about', [
                'hand' => __("debrief.hands.{$recording->golfer->handedness}"),
                'shown' => Term::shownOf($case),
                'readings' => trans_choice('debrief.readings', count($people), ['count' => count($people)]),
            ]),
            'before' => $place > 1 ? route('debrief', [$round, $place - 1]) : null,
            'next' => $place < count($order) ? route('debrief', [$round, $place + 1]) : null,
            'kind' => $case->kind->value,
            'evidence' => route('debrief.evidence', [$round, $place, 1], false),
            'noFilm' => $film ? null : (string) __('debrief.no-film'),
            'traceTitle' => TraceTitle::ofRecording($recording),
            'swings' => self::swings($round, $case, $place),
            'drawn' => array_values(array_filter($people, static fn (array $p): bool => $p['aids'] !== [])),
            'faults' => array_map(static fn (array $f): array => self::fault($f, $names), $said['faults']),
            'times' => $case->kind === CaseKind::Single ? self::times($said) : [],
            'people' => array_map(static fn (array $p): array => [
                'letter' => $p['letter'],
                'name' => $p['name'],
                'causes' => $p['causes'] === []
                    ? (string) __('debrief.no-cause')
                    : implode(', ', $p['causes']),
                'cue' => $p['cue'],
            ], $people),
            'order' => $this->order($round, $place, $order),
            'heldBefore' => self::held($round),
            'rounds' => self::rounds($round),
            'forPage' => self::forPage($said),
        ];
    }

    private static function name(Recording $recording): string
    {
        return "{$recording->golfer->pseudonym}, $recording->club";
    }

    /** @return list<array{name: string, url: string}> */
    private static function swings(Sitting $round, SittingCase $case, int $place): array
    {
        return $case->kind === CaseKind::Single ? [] : array_values(
            $case->swings
                ->values()
                ->map(static fn (CaseSwing $s, int $i): array => [
                    'name' => $case->swingName($s),
                    'url' => route('debrief.evidence', [$round, $place, $i + 1], false),
                ])
                ->all(),
        );
    }

    /**
     * A fault with its calls by what was called, the reasons that were given, and what the key says.
     *
     * @param  SaidFault  $f
     * @param  array<string, string>  $names  by letter
     * @return array<string, mixed>
     */
    private static function fault(array $f, array $names): array
    {
        $camps = [];
        $reasons = [];
        foreach (self::COUNTS as $presence => $count) {
            $calls = array_filter($f['calls'], static fn (array $c): bool => $c['presence'] === $presence);
            $camps[] = [
                'presence' => $presence,
                'count' => $f[$count],
                'calls' => array_values(array_map(static fn (array $c): array => [
                    'letter' => $c['letter'],
                    'name' => $names[$c['letter']],
                    'confidence' => $c['confidence'] ?? null,
                    'severity' => isset($c['severity']) ? __("calls.severities.{$c['severity']}") : null,
                    'trend' => isset($c['trend']) ? __('debrief.trend', ['trend' => $c['trend']]) : null,
                ], $calls)),
            ];
        }
        foreach ($f['calls'] as $call) {
            foreach ($call['pins'] ?? [] as $pin) {
                if (($pin['reason'] ?? '') !== '') {
                    $reasons[] = self::reason($pin, $call['letter'], $names[$call['letter']]);
                }
            }
        }

        return [
            ...$f,
            'camps' => $camps,
            'reasons' => $reasons,
            'keySays' => match (true) {
                $f['truth'] !== null => (string) __('debrief.said-so', [
                    'said' => $f['truth'] === Presence::Present->value ? $f['present'] : $f['absent'],
                    'of' => $f['present'] + $f['absent'],
                ]),
                $f['grade'] !== null => (string) __('debrief.not-scored'),
                default => (string) __('debrief.key-silent'),
            },
        ];
    }

    /**
     * @param  Pin  $pin
     * @return array{letter: string, name: string, on: string, t: float|int|null, at: string, swing: int,
     *     reason: string}
     */
    private static function reason(array $pin, string $letter, string $name): array
    {
        return [
            'letter' => $letter,
            'name' => $name,
            'on' => (string) __('debrief.script.on.'.$pin['on']),
            't' => $pin['t'] ?? null,
            'at' => isset($pin['t']) ? Written::fixed((float) $pin['t'], 2).' s' : '',
            'swing' => $pin['swing'] ?? 1,
            'reason' => $pin['reason'] ?? '',
        ];
    }

    /**
     * Top and impact as each marked them, against the station's own time.
     *
     * @param  Said  $said
     * @return list<array{says: string, marks: list<array{letter: string, name: string, t: float, off: string}>}>
     */
    private static function times(array $said): array
    {
        $out = [];
        foreach (['TP', 'IM'] as $code) {
            $marks = [];
            foreach ($said['people'] as $p) {
                $own = (array) $p['marks'];
                if (isset($own[$code])) {
                    $marks[] = ['letter' => $p['letter'], 'name' => $p['name'], 't' => Cell::float($own[$code])];
                }
            }
            if ($marks !== []) {
                usort($marks, static fn (array $a, array $b): int => $a['t'] <=> $b['t']);
                $out[] = self::timesOf($code, $marks, $said['stations'][$code] ?? null);
            }
        }

        return $out;
    }

    /**
     * @param  non-empty-list<array{letter: string, name: string, t: float}>  $marks  the earliest first
     * @return array{says: string, marks: list<array{letter: string, name: string, t: float, off: string}>}
     */
    private static function timesOf(string $code, array $marks, ?float $station): array
    {
        $says = trans_choice("debrief.times.$code", count($marks), [
            'count' => count($marks),
            'ms' => self::ms($marks[count($marks) - 1]['t'] - $marks[0]['t']),
        ]);

        return [
            'says' => $station === null
                ? $says.'.'
                : $says.__('debrief.times.against', ['at' => Written::fixed($station, 3)]),
            'marks' => $station === null ? [] : array_map(
                static fn (array $m): array => [
                    ...$m,
                    'off' => ($m['t'] >= $station ? '+' : '').self::ms($m['t'] - $station),
                ],
                $marks,
            ),
        ];
    }

    private static function ms(float $seconds): string
    {
        return Written::fixed(1000.0 * $seconds, 0).' ms';
    }

    /**
     * @param  list<Turn>  $order
     * @return list<array{place: int, score: string, name: string, fault: string, url: string, here: bool,
     *     contested: string, picked: bool}>
     */
    private function order(Sitting $round, int $place, array $order): array
    {
        $codebook = $this->codebooks->of($round);
        $contested = self::contested($round);
        $picked = self::picked(array_map(
            static fn (array $turn): int => count($contested[$turn['place']] ?? []),
            $order,
        ));

        return array_map(static fn (array $turn, int $i): array => [
            'place' => $turn['place'],
            'score' => Written::fixed($turn['weight'], 1),
            'name' => $turn['name'],
            'fault' => $turn['fault'] === null
                ? (string) __('debrief.nothing-apart')
                : $codebook->faults[$turn['fault']]->name,
            'url' => route('debrief', [$round, $i + 1]),
            'here' => $i + 1 === $place,
            'contested' => implode(', ', array_map(
                static fn (string $fault): string => $codebook->faults[$fault]->name ?? $fault,
                $contested[$turn['place']] ?? [],
            )),
            'picked' => isset($picked[$i]),
        ], $order, array_keys($order));
    }

    /**
     * What there is most to talk about, and what the panel itself could not settle.
     *
     * @param  list<int>  $open  how many questions each case leaves open, the cases with most to talk about first
     * @return array<int, true> by place in that order
     */
    public static function picked(array $open): array
    {
        arsort($open);
        $most = array_slice(array_filter($open, static fn (int $n): bool => $n > 0), 0, self::PICKED, true);

        return array_fill_keys([...range(0, self::PICKED - 1), ...array_keys($most)], true);
    }

    /** @return array<int, list<string>> by place, the faults on which the panel has no majority and nobody has ruled */
    private static function contested(Sitting $round): array
    {
        $out = [];
        foreach (DB::table('key_entries')
            ->join('sitting_cases', 'sitting_cases.case_id', '=', 'key_entries.case_id')
            ->where('key_entries.key_version_id', $round->key_version_id)
            ->where('sitting_cases.sitting_id', $round->id)
            ->where('sitting_cases.occasion', 1)
            ->where('grade', 'contested')
            ->whereNull('ruling')
            // Where too few could tell there is nothing to talk out.
            ->where('present', '>', 0)
            ->where('absent', '>', 0)
            ->orderBy('key_entries.id')
            ->get(['sitting_cases.id', 'fault']) as $row) {
            $out[Cell::int($row->id)][] = Cell::text($row->fault);
        }

        return $out;
    }

    /** @return list<array{says: string, url: string}> debriefs of the round that are or were held, the newest first */
    private static function held(Sitting $round): array
    {
        $sessions = DebriefSession::query()->where('sitting_id', $round->id)->orderByDesc('id')->limit(5)->get();

        return array_values($sessions->map(static fn (DebriefSession $s): array => [
            'says' => (string) __($s->isOpen() ? 'debrief.begin.under-way' : 'debrief.begin.was-held', [
                'day' => $s->started_at->timezone(Academy::zone())->format('j M Y'),
            ]),
            'url' => route($s->isOpen() ? 'debriefs.present' : 'debriefs.minutes', $s),
        ])->all());
    }

    /** @return list<array{name: string, url: string, here: bool}> none where there is no other */
    private static function rounds(Sitting $round): array
    {
        $rounds = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->orderByDesc('published_at')
            ->orderByDesc('id')
            ->get();

        return $rounds->count() < 2 ? [] : array_values(
            $rounds
                ->map(static fn (Sitting $each): array => [
                    'name' => $each->name,
                    'url' => route('debrief.first', $each),
                    'here' => $each->is($round),
                ])
                ->all(),
        );
    }

    /**
     * What the lanes under the ribbon and the drawings are made from.
     *
     * @param  Said  $said
     * @return array{people: list<array<string, mixed>>, faults: array<string, array<string, mixed>>}
     */
    private static function forPage(array $said): array
    {
        $keys = ['letter' => true, 'name' => true, 'marks' => true, 'aids' => true];
        $faults = [];
        foreach ($said['faults'] as $f) {
            $faults[$f['key']] = [
                'station' => $f['station'],
                'calls' => array_map(
                    static fn (array $c): array => [
                        'letter' => $c['letter'],
                        'presence' => $c['presence'],
                        'onset' => $c['onset'] ?? null,
                        'pins' => $c['pins'] ?? [],
                    ],
                    $f['calls'],
                ),
            ];
        }

        return [
            'people' => array_map(static fn (array $p): array => array_intersect_key($p, $keys), $said['people']),
            'faults' => $faults,
        ];
    }
}
