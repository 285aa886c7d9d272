<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Shifts;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\Strikes;
use Core\Number\Written;
use Core\Remark\Remark;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Signal;
use Core\Trace\Trace;

/**
 * Whether what was recorded is one swing at a ball: not somebody who stands, walks on or waggles, not two of them, not
 * a rehearsal at a rehearsal's tempo. Where the stations were set by a person or came with the file they say which
 * of several swings is meant.
 */
final class Occasion
{
    public const NONE = 'no-swing';

    public const SEVERAL = 'several-swings';

    public const SLOW = 'slow';

    public const KINDS = [self::NONE, self::SEVERAL, self::SLOW];

    /** Beyond these no swing at a ball takes, s: from address to top, from top to impact. */
    private const SLOWEST = ['back' => 2.2, 'down' => 0.45];

    /** Where the trace alone tells the tempo, s; coming down by where it presses the ground by less than SOFT, %BW. */
    private const SLOWEST_BY_TRACE = ['back' => 1.45, 'any' => 0.42, 'soft' => 0.275];

    private const SOFT = 116.0;

    /** Impact lies so near the moment a swing is known by, s; another one lies so far outside of it. */
    private const NEAR = 0.9;

    private const CLEAR = 0.3;

    /** What is cut out with a swing, before and after the moment it is known by; what the ones beside it keep, s. */
    private const PART = ['before' => 2.6, 'after' => 2.5, 'over' => 0.9, 'stood' => 1.6];

    /**
     * @param  list<QualityFinding>  $flaws  of the instrument
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    public static function findings(Evidence $evidence, array $flaws = []): array
    {
        $moments = self::moments($evidence, $flaws);
        if ($moments === null) {
            return [];
        }
        if ($moments === []) {
            return [self::nulled(self::NONE, Remark::of(Flaw::NoSwing))];
        }
        if (count($moments) > 1) {
            $several = Remark::of(
                Flaw::SeveralSwings,
                count: count($moments),
                times: array_map(static fn (float $t): string => Written::fixed($t, 1), $moments),
            );

            return [self::isChosen($evidence, $moments)
                ? new QualityFinding(self::SEVERAL, 'note', $several)
                : self::nulled(self::SEVERAL, $several)];
        }

        return self::slow($evidence);
    }

    /**
     * Where each of several swings lies, with the standing before it and its finish, s; none where there is one only.
     *
     * @param  list<QualityFinding>  $flaws
     * @return list<array{float, float}>
     *
     * @throws CoreException
     */
    public static function parts(Evidence $evidence, array $flaws = []): array
    {
        $moments = self::moments($evidence, $flaws) ?? [];
        $parts = [];
        foreach (count($moments) < 2 ? [] : $moments as $i => $t) {
            $parts[] = [
                max($t - self::PART['before'], isset($moments[$i - 1]) ? $moments[$i - 1] + self::PART['over'] : -INF),
                min($t + self::PART['after'], isset($moments[$i + 1]) ? $moments[$i + 1] - self::PART['stood'] : INF),
            ];
        }

        return $parts;
    }

    /**
     * As what the rules of a full swing are not asked of it, whatever was measured; null where they are.
     *
     * @param  list<QualityFinding>  $findings
     * @return self::NONE|self::SEVERAL|self::SLOW|null
     */
    public static function refused(array $findings): ?string
    {
        foreach ($findings as $finding) {
            $isRefused = $finding->kind === self::SLOW || $finding->effect === QualityFinding::NULLED;
            if (in_array($finding->kind, self::KINDS, true) && $isRefused) {
                return $finding->kind;
            }
        }

        return null;
    }

    /**
     * The moment each swing is known by, s: what the body shows, else what the feet do. Null where neither can tell.
     *
     * @param  list<QualityFinding>  $flaws
     * @return list<float>|null
     *
     * @throws CoreException
     */
    private static function moments(Evidence $evidence, array $flaws): ?array
    {
        foreach ($evidence->views->motions as $motion) {
            if ($motion->has('club_head')) {
                return array_column(Strikes::in($motion), 't');
            }
        }
        $lost = [];
        foreach ($flaws as $flaw) {
            if ($flaw->effect === QualityFinding::NULLED && $flaw->span === null) {
                array_push($lost, ...$flaw->signals);
            }
        }
        if (in_array(Signal::Share, $lost, true)) {
            $total = in_array(Signal::Total, $lost, true) ? null : $evidence->trace?->totalForce();

            // Where the share is not what it says, nobody who presses no more than stands has swung.
            return $total === null || Shifts::presses($total) ? null : [];
        }

        return $evidence->trace?->leadShare() === null ? null : array_column(Shifts::in($evidence->trace), 't');
    }

    /** @param  non-empty-list<float>  $moments */
    private static function isChosen(Evidence $evidence, array $moments): bool
    {
        $impact = $evidence->stations->get(Station::Impact);
        if ($impact === null || ! in_array($impact->source, [StationSource::Hand, StationSource::File], true)) {
            return false;
        }
        [$first, $last] = [
            $evidence->stations->t(Station::Address) ?? $impact->t - 1.0,
            $evidence->stations->t(Station::Finish) ?? $impact->t + 0.5,
        ];
        $near = array_filter($moments, static fn (float $t): bool => abs($t - $impact->t) < self::NEAR);
        $inside = array_filter(
            $moments,
            static fn (float $t): bool => $t > $first - self::CLEAR && $t < $last + self::CLEAR,
        );

        return count($near) === 1 && count($inside) === 1;
    }

    /**
     * @return list<QualityFinding>
     *
     * @throws CoreException
     */
    private static function slow(Evidence $evidence): array
    {
        [$ad, $tp, $im] = array_map($evidence->stations->get(...), [Station::Address, Station::Top, Station::Impact]);
        if ($tp === null || $im === null) {
            return [];
        }
        $down = $im->t - $tp->t;
        $back = $ad === null ? 0.0 : $tp->t - $ad->t;
        $byTrace = $tp->source === StationSource::Trace;
        $longest = $byTrace ? self::SLOWEST_BY_TRACE['back'] : self::SLOWEST['back'];
        $most = $byTrace ? self::slowestByTrace($evidence->trace) : self::SLOWEST['down'];
        $why = match (true) {
            $down > $most => Remark::of(Flaw::ComesDownSlowly, down_ms: 1000.0 * $down),
            $back > $longest => Remark::of(Flaw::GoesBackSlowly, back_s: $back),
            default => null,
        };

        return $why === null ? [] : [new QualityFinding(self::SLOW, 'warning', $why)];
    }

    /** @throws CoreException */
    private static function slowestByTrace(?Trace $trace): float
    {
        $total = $trace?->totalForce();

        return $total !== null && ! Shifts::presses($total, self::SOFT)
            ? self::SLOWEST_BY_TRACE['soft']
            : self::SLOWEST_BY_TRACE['any'];
    }

    private static function nulled(string $kind, Remark $why): QualityFinding
    {
        return new QualityFinding($kind, 'serious', $why, QualityFinding::NULLED, Signal::cases());
    }
}
