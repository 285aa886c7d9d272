<?php

declare(strict_types=1);

namespace App\Lessons;

use Core\Codebook\Drill;

/** What a prescription says of how its drill is done, and what it says where nothing else is chosen. */
final class PlanFields
{
    /** Of so many characters at most. */
    public const TEXTS = [
        'dose' => 300,
        'club' => 60,
        'check' => 300,
        'pass' => 300,
        'stop' => 300,
        'effect' => 300,
        'ignore' => 300,
        'keep' => 300,
        'feels' => 300,
        'cue' => 120,
        'image' => 200,
    ];

    public const RUNGS = ['from', 'to'];

    public const BALLS = ['none', 'teed', 'ground'];

    /** Per cent of full speed. */
    public const SPEEDS = [10, 100];

    /** @return array<string, string|int> by name; empty where the codebook says nothing */
    public static function of(Drill $drill): array
    {
        $plan = $drill->plan;

        return [
            ...array_fill_keys(array_keys(self::TEXTS), ''),
            ...$plan === null ? [] : [
                'dose' => $plan->dose,
                'check' => $plan->check,
                'pass' => $plan->pass,
                'stop' => $plan->stop,
                'effect' => $plan->ball,
                'feels' => $plan->feels,
            ],
            'from' => $plan->from->value ?? 'rehearsal',
            'to' => $plan->to->value ?? 'rehearsal',
            'speed' => 60,
            'ball' => 'none',
        ];
    }
}
