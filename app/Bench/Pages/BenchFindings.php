<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Words\Term;
use App\Words\Wording;
use Core\Measurement\Measure;
use Core\Measurement\QualityNote;
use Core\Number\Written;
use Core\Trace\DeviceClass;
use Core\Trace\Repair;

/** What is wrong with a recording, and what that does to its measures. */
final readonly class BenchFindings
{
    public function __construct(private Wording $words)
    {
    }

    /**
     * @param  list<QualityNote>  $notes
     * @return list<array{severity: string, says: string, effect: string, at: ?float, go: string, repair: ?string}>
     */
    public function of(array $notes, DeviceClass $device): array
    {
        return array_map(fn (QualityNote $note): array => [
            'repair' => self::repair($note, $device),
            'severity' => $note->finding->severity,
            'says' => $this->words->said($note->finding->remark),
            'effect' => __("bench.effects.{$note->finding->effect}").($note->measures === [] ? '' : ': '.implode(
                ', ',
                array_map(static fn (string $key): string => Term::measure(Measure::from($key)), $note->measures),
            )).'.',
            'at' => $note->finding->span[0] ?? null,
            'go' => $note->finding->span === null
                ? ''
                : (string) __('bench.go-to', ['t' => Written::fixed($note->finding->span[0], 2)]),
        ], $notes);
    }

    /** What a person may do about it. */
    private static function repair(QualityNote $note, DeviceClass $device): ?string
    {
        $repair = Repair::of($note->finding->remark, $device);

        return $repair !== null && $repair->kind->keepsTime() ? $repair->kind->value : null;
    }
}
