<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Models\Recording;
use App\Sight\LessonSight;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Motion\Station;
use Core\Reading\SwingKind;

/** The swings of a session as a series: cold first ones aside, and of each measure one value a swing. */
final readonly class LessonSeries
{
    public function __construct(private LessonSight $sight)
    {
    }

    /** @return list<Recording> warm and measured */
    public function warm(Lesson $lesson): array
    {
        return array_values($this->sight->swings($lesson)
            ->filter(static fn (Recording $r): bool => ! $r->is_cold && $r->measured !== null)
            ->all());
    }

    /** @return list<Recording> of those, what was swung fully: what a later series is held against */
    public function full(Lesson $lesson): array
    {
        return array_values(array_filter(
            $this->warm($lesson),
            static fn (Recording $r): bool => ! in_array(
                $r->swing,
                [SwingKind::Rehearsal->value, SwingKind::Drill->value],
                true,
            ),
        ));
    }

    /**
     * @param  list<Recording>  $swings
     * @return list<Measured>
     */
    public static function measured(array $swings, Measure $measure, ?Station $at): array
    {
        $out = [];
        foreach ($swings as $swing) {
            if ($swing->measured !== null) {
                $out[] = $swing->measured->measured()->get($measure, $at?->value);
            }
        }

        return $out;
    }
}
