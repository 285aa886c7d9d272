<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\RoundTimes;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use Core\Motion\Station;
use Core\Number\Written;

/** The marks behind how far people are early or late: case by case, ms after the recording's own time. */
final readonly class TimesBehind
{
    public function __construct(private CallsBehind $calls)
    {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, Station $station, User $user): array
    {
        [$marks, $reference] = RoundTimes::marks($round)[$station->value] ?? abort(404);
        $raters = new RaterNames($round, $user);
        $names = [];
        foreach (array_keys($marks) as $rater) {
            $names[$rater] = $raters->name($rater);
        }
        asort($names);
        $rows = [];
        foreach ($this->calls->cases($round, $user) as $case) {
            /** @var SittingCase $case */
            $at = $reference["c$case->case_id"] ?? null;
            if ($at !== null) {
                $rows[] = [
                    'name' => $case->called(),
                    'url' => route('agreement.case', [$round, $case]),
                    'cells' => array_map(static function (string $rater) use ($marks, $case, $at): string {
                        $own = $marks[$rater]["c$case->case_id"] ?? null;

                        return $own === null ? (string) __('figures.none') : Written::signed($own - $at, 0);
                    }, array_keys($names)),
                ];
            }
        }

        return [
            'round' => $round,
            'title' => (string) __('agreement.times.against', [
                'station' => ucfirst((string) __("stations.names.$station->value")),
            ]),
            'readers' => array_values($names),
            'rows' => $rows,
        ];
    }
}
