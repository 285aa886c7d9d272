<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\Recording;
use App\Models\User;
use Core\Measurement\Difference;
use Core\Motion\Station;
use Core\Number\Written;

/**
 * Two recordings side by side, as their page shows them: what differs beyond doubt first.
 *
 * @phpstan-import-type ComparedRow from Comparison
 * @phpstan-import-type Side from Comparison
 */
final readonly class ComparePage
{
    public function __construct(private Comparison $comparison)
    {
    }

    /** @return array<string, mixed> */
    public function of(Recording $first, Recording $second, string $lens, User $user): array
    {
        $found = $this->comparison->of($first, $second, $lens, $user);
        $clear = $rest = [];
        foreach ($found['rows'] as $row) {
            $difference = $row['difference'];
            if ($difference !== null && $difference->isBeyond()) {
                $clear[] = self::row($row, $difference);
            } else {
                $rest[] = self::row($row, $difference);
            }
        }

        return [
            'first' => $first,
            'second' => $second,
            'names' => ['first' => self::name($first), 'second' => self::name($second)],
            'fetch' => [route('bench.evidence', $first, false), route('bench.evidence', $second, false)],
            'mirrored' => $found['mirrored']
                ? (string) __('bench.compare.mirrored', [
                    'hand' => __("bench.about.hand.{$second->golfer->handedness}"),
                ])
                : '',
            'stations' => array_map(static fn (Station $s): string => $s->value, Station::cases()),
            'title' => trans_choice('bench.compare.title', $found['beyond'], ['count' => $found['beyond']]),
            'about' => ($found['bySeries']
                ? __('bench.compare.series', ['first' => $found['counts'][0], 'second' => $found['counts'][1]])
                : __('bench.compare.single')).' '.__('bench.compare.many'),
            'clear' => $clear,
            'rest' => $rest,
            'restTitle' => trans_choice('bench.compare.rest', count($rest), ['count' => count($rest)]),
            'candidates' => array_map(static fn (array $c): array => [
                ...$c,
                'chosen' => $c['id'] === $second->public_id,
            ], $this->comparison->candidates($first, $user)),
        ];
    }

    private static function name(Recording $recording): string
    {
        $name = "{$recording->golfer->pseudonym}, $recording->club";

        return (string) $recording->series === '' ? $name : "$name, $recording->series";
    }

    /**
     * @param  ComparedRow  $row
     * @return array<string, mixed>
     */
    private static function row(array $row, ?Difference $difference): array
    {
        return [
            'key' => $row['key'],
            'label' => $row['label'],
            'unit' => $row['unit'],
            'definition' => ucfirst($row['definition']),
            'values' => [self::value($row['first']), self::value($row['second'])],
            'change' => $difference === null
                ? null
                : ($difference->change > 0.0 ? '+' : '').MeasurementPrint::value($difference->change),
            'plusMinus' => $difference === null
                ? ''
                : '± '.Written::fixed($difference->uncertainty, $difference->uncertainty < 1.0 ? 2 : 0),
            'why' => $row['why'],
        ];
    }

    /**
     * @param  Side  $shown
     * @return array{text: string, none: bool, reason: ?string}
     */
    private static function value(array $shown): array
    {
        $value = $shown['value'];

        return [
            'text' => match (true) {
                $value === null => (string) __('bench.measure.none'),
                is_float($value) => MeasurementPrint::value($value),
                default => $value,
            },
            'none' => $value === null,
            'reason' => $shown['reason'],
        ];
    }
}
