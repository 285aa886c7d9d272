<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\FollowUp;
use App\Models\Prescription;
use App\Models\User;
use App\Sight\LessonSight;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;
use Core\Number\Written;
use Core\Prescription\Outcome;

/**
 * How what somebody prescribed has turned out: expected against seen, and how often it was chosen against advice. Of
 * what may be seen only.
 *
 * @phpstan-type Turned array{name: string, handed: int, against: int, followed: int, outcomes: array<string, int>,
 *     share: string}
 */
final readonly class Records
{
    private const MOST = 60;

    public function __construct(private FollowUpFindings $findings, private LessonSight $sight)
    {
    }

    /** @return list<Turned> of everybody who has handed something over */
    public function ofAll(User $asks): array
    {
        $out = [];
        foreach (User::query()
            ->whereIn('id', Prescription::query()->whereNotNull('issued_at')->select('prescribed_by'))
            ->orderBy('name')
            ->get() as $person) {
            $of = $this->of($person, $asks);
            if ($of !== null) {
                $out[] = $of;
            }
        }

        return $out;
    }

    /** @return Turned|null null where nothing was handed over */
    public function of(User $person, User $asks): ?array
    {
        $handed = Prescription::query()->where('prescribed_by', $person->id)->whereNotNull('issued_at');
        $n = $handed->count();
        if ($n === 0) {
            return null;
        }
        $by = [];
        $outcomes = array_fill_keys(array_column(Outcome::cases(), 'value'), 0);
        foreach (FollowUp::query()
            ->whereNotNull('locked_at')
            ->whereIn('prescription_id', (clone $handed)->select('id'))
            ->with([
                'prescription.lesson.golfer.consents', 'prescription.lesson.balls', 'lesson.golfer.consents',
                'lesson.balls', 'swings',
            ])
            ->orderByDesc('id')
            ->limit(self::MOST)
            ->get() as $followUp) {
            if ($this->sight->isOpen($followUp->prescription->lesson, $asks)
                && $this->sight->isOpen($followUp->lesson, $asks)) {
                $outcome = $this->findings->of($followUp)['outcome'];
                $outcomes[$outcome->value]++;
                if ($outcome !== Outcome::CannotBeSaid) {
                    $golfer = $followUp->lesson->golfer_id;
                    $by[$golfer] ??= [0, 0];
                    $by[$golfer][0] += $outcome === Outcome::AsExpected ? 1 : 0;
                    $by[$golfer][1]++;
                }
            }
        }
        // Several sessions of one golfer say less than as many golfers.
        $share = $by === [] ? null : Wilson::clustered(array_values($by), new Confidence, Undefined::OneCase);

        return [
            'name' => $person->name,
            'handed' => $n,
            'against' => (clone $handed)->where('against', '<>', '[]')->count(),
            'followed' => array_sum($outcomes),
            'outcomes' => $outcomes,
            'share' => self::share($share),
        ];
    }

    private static function share(?Figure $of): string
    {
        $percent = static fn (float $v): string => Written::fixed(100.0 * $v, 0);

        return $of?->estimate === null || $of->low === null || $of->high === null
            ? (string) __('lessons.record.thin')
            : (string) __('lessons.record.interval', [
                'share' => $percent($of->estimate), 'low' => $percent($of->low), 'high' => $percent($of->high),
            ]);
    }
}
