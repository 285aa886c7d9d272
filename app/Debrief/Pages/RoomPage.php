<?php

declare(strict_types=1);

namespace App\Debrief\Pages;

use App\Bench\Pages\TraceTitle;
use App\Debrief\Debrief;
use App\Models\CaseSwing;
use App\Models\DebriefCase;
use App\Models\DebriefSession;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\RoomSight;
use App\Words\Term;
use Core\Number\Written;
use Core\Sight\Reveal;
use Core\Sight\Thing;

/**
 * What the room sees of the case that is shown now: as much as the presenter has shown, and nobody's name.
 *
 * @phpstan-import-type SaidFault from Debrief
 */
final readonly class RoomPage
{
    /** With fewer readers nothing is told that one of them said: it would be known who. */
    public const FEW = 5;

    public function __construct(private Debrief $debrief, private VotePage $votes, private RoomSight $sight)
    {
    }

    /**
     * The case that is shown, as far as this person may see it now.
     *
     * @return array<string, mixed>
     */
    public function of(DebriefSession $session, User $user): array
    {
        $shown = $session->current()->with('case.swings')->first();
        $out = [
            'session' => $session,
            'over' => ! $session->isOpen(),
            'joined' => $session->people()->count(),
            'code' => $session->code,
            'case' => null,
            'topic' => null,
            'vote' => null,
        ];
        if ($shown === null || ! $session->isOpen()) {
            return $out;
        }
        $sight = $this->sight->of($shown, $user, true);
        if ($sight->why !== null) {
            return [...$out, 'why' => (string) __("debrief.room.why.{$sight->why->value}")];
        }
        $round = $session->loadMissing('sitting')->sitting;
        $place = $this->debrief->case($round, $shown->sitting_case_id);

        return [
            ...$out,
            'case' => $this->case($session, $shown, $place),
            'traceTitle' => TraceTitle::ofRecording($place->recording),
            'topic' => $this->topic($round, $place, $shown, $sight->shows(...)),
            'vote' => $this->votes->shown($session, $shown),
            'noFilm' => $sight->shows(Thing::Film) ? null : (string) __('debrief.no-film'),
        ];
    }

    /** @return array{place: string, name: string, shown: DebriefCase} */
    private function case(DebriefSession $session, DebriefCase $shown, SittingCase $place): array
    {
        return [
            'place' => (string) __('debrief.place', [
                'place' => $session->cases()->where('position', '<=', $shown->position)->count(),
                'of' => $session->cases()->count(),
            ]),
            'name' => "{$place->recording->golfer->pseudonym}, {$place->recording->club}",
            'shown' => $shown,
        ];
    }

    /**
     * @param  \Closure(Thing): bool  $shows
     * @return array<string, mixed>|null null where no fault is talked about
     */
    private function topic(Sitting $round, SittingCase $place, DebriefCase $shown, \Closure $shows): ?array
    {
        $faults = array_column($this->debrief->of($round, $place)['faults'], null, 'key');
        $fault = $faults[(string) $shown->topic] ?? null;
        if ($fault === null) {
            return null;
        }

        return [
            'name' => ucfirst($fault['name']),
            'station' => $fault['station'],
            'lookFor' => ucfirst($fault['lookFor']).'.',
            'spread' => $shows(Thing::Calls) ? self::spread($fault) : null,
            'reasons' => $shows(Thing::Calls) ? self::reasons($fault) : [],
            'key' => $shows(Thing::Key) ? self::key($fault) : null,
            'measured' => $shows(Thing::Numbers) ? ['why' => $fault['why'], 'fault' => $fault['name']] : null,
            'flight' => $shows(Thing::Flight) ? self::flight($place) : null,
            'ruling' => $shown->revealed->covers(Reveal::Ruling) ? $fault['ruling'] ?? '' : null,
        ];
    }

    /**
     * @param  SaidFault  $fault
     * @return list<array{presence: string, n: int, percent: string}>
     */
    private static function spread(array $fault): array
    {
        $n = ['present' => $fault['present'], 'absent' => $fault['absent'], 'cannot-tell' => $fault['unsure']];
        $all = max(1, array_sum($n));

        return array_map(static fn (string $presence, int $times): array => [
            'presence' => $presence,
            'n' => $times,
            'percent' => Written::fixed(100.0 * $times / (float) $all, 0),
        ], array_keys($n), $n);
    }

    /**
     * Reasons without names or order; none where there are so few readers that it would be known whose they are.
     *
     * @param  SaidFault  $fault
     * @return list<array{presence: string, t: ?float, swing: int, reason: string}>
     */
    private static function reasons(array $fault): array
    {
        $out = [];
        foreach (count($fault['calls']) < self::FEW ? [] : $fault['calls'] as $call) {
            foreach ($call['pins'] ?? [] as $pin) {
                if (($pin['reason'] ?? '') !== '') {
                    $out[] = [
                        'presence' => $call['presence'],
                        't' => isset($pin['t']) ? (float) $pin['t'] : null,
                        'swing' => $pin['swing'] ?? 1,
                        'reason' => $pin['reason'],
                    ];
                }
            }
        }
        usort($out, static fn (array $a, array $b): int => $a['reason'] <=> $b['reason']);

        return $out;
    }

    /**
     * @param  SaidFault  $fault
     * @return array{label: ?string, grade: ?string, says: string}
     */
    private static function key(array $fault): array
    {
        return [
            'label' => $fault['truth'],
            'grade' => $fault['grade'],
            'says' => (string) match (true) {
                $fault['truth'] !== null => '',
                $fault['grade'] !== null => __('debrief.not-scored'),
                default => __('debrief.key-silent'),
            },
        ];
    }

    private static function flight(SittingCase $place): string
    {
        $said = $place->swings->map(static function (CaseSwing $s): ?string {
            $flight = $s->recording->flight();

            return $flight === null ? null : ucfirst(Term::flight($flight)).'.';
        })->filter()->implode(' ');

        return $said === '' ? (string) __('debrief.room.no-flight') : $said;
    }
}
