<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Signal;
use Core\Trace\Trace;

/** The two shares of a mat are per cent of one whole. */
final readonly class Shares implements Check
{
    /** By how much their sum may miss a hundred, as a rule. */
    private const OFF = 3.0;

    public function of(Trace $trace): array
    {
        if ($trace->device !== DeviceClass::Mat) {
            return [];
        }
        $sums = [];
        foreach ($trace->channels['lead_pct'] as $i => $lead) {
            $sum = $lead + $trace->channels['trail_pct'][$i];
            if (is_finite($sum)) {
                $sums[] = $sum;
            }
        }
        sort($sums);
        $sum = $sums === [] ? 100.0 : $sums[intdiv(count($sums), 2)];
        if ($sum > 0.9 && $sum < 1.1) {
            return [self::finding('units', Remark::of(Flaw::SharesAreParts))];
        }

        return abs($sum - 100.0) > self::OFF
            ? [self::finding('shares', Remark::of(Flaw::SharesDoNotAddUp, sum: $sum))]
            : [];
    }

    private static function finding(string $kind, Remark $remark): QualityFinding
    {
        return new QualityFinding($kind, 'serious', $remark, QualityFinding::NULLED, [Signal::Share, Signal::Cop]);
    }
}
