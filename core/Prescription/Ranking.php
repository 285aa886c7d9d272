<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\Codebook\Codebook;
use Core\Codebook\Drill;
use Core\Codebook\Rung;

/**
 * All drills of a codebook for one situation, none left out: first those for the first cause, then as the lens uses
 * them, as limits let them, as little as they harm; what is alike by name.
 */
final readonly class Ranking
{
    /** @return list<RankedDrill> */
    public static function of(Codebook $codebook, Situation $of): array
    {
        $out = array_values(array_map(
            static fn (Drill $drill): RankedDrill => self::weighed($drill, $codebook, $of),
            $codebook->drills(),
        ));
        usort($out, static fn (RankedDrill $a, RankedDrill $b): int => self::order($a) <=> self::order($b)
            ?: strcmp($a->drill->name, $b->drill->name));

        return $out;
    }

    public static function weighed(Drill $drill, Codebook $codebook, Situation $of): RankedDrill
    {
        $reasons = [
            ...self::aims($drill, $codebook, $of),
            ...self::lens($drill, $codebook),
            ...self::ladder($drill, $of),
            ...self::limits($drill, $of),
            ...self::harms($drill, $codebook, $of),
        ];
        usort($reasons, static fn (Reason $a, Reason $b): int => $b->code->speaksFor() <=> $a->code->speaksFor());

        return new RankedDrill($drill, $reasons);
    }

    /** @return list<Reason> */
    private static function aims(Drill $drill, Codebook $codebook, Situation $of): array
    {
        $first = $also = [];
        foreach (array_keys($of->present) as $fault) {
            if (! in_array($drill->key, $codebook->faults[$fault]->helps ?? [], true)) {
                continue;
            }
            if (in_array($fault, $of->causes, true)) {
                $first[] = new Reason(ReasonCode::FirstCause, $fault);
            } else {
                $also[] = new Reason(ReasonCode::AlsoSeen, $fault);
            }
        }

        return [
            ...$first,
            ...$also,
            ...$first === [] && $also === [] ? [new Reason(ReasonCode::ForNothingSeen)] : [],
            ...$of->isOutside() ? [new Reason(ReasonCode::OutsideCause)] : [],
        ];
    }

    /** @return list<Reason> */
    private static function lens(Drill $drill, Codebook $codebook): array
    {
        $variant = $drill->plan->lenses[$codebook->lens->key] ?? null;

        return $variant === null
            ? []
            : [new Reason($variant[0] ? ReasonCode::LensWay : ReasonCode::LensRefuses, says: $variant[1])];
    }

    /** @return list<Reason> */
    private static function ladder(Drill $drill, Situation $of): array
    {
        $plan = $drill->plan;
        if ($plan === null || $of->level === null) {
            return [];
        }
        $begins = in_array($plan->from, [Rung::Rehearsal, Rung::WithClub], true);
        $goesFar = in_array($plan->to, [Rung::FullSpeed, Rung::Course], true);
        $isYoung = $of->level === Level::New || $of->level === Level::Learning;
        $code = match (true) {
            $isYoung => $begins ? ReasonCode::BeginsPlain : ReasonCode::BeginsHigh,
            default => $goesFar ? ReasonCode::GoesFar : ReasonCode::EndsShort,
        };

        return [new Reason($code)];
    }

    /** @return list<Reason> */
    private static function limits(Drill $drill, Situation $of): array
    {
        $out = [];
        foreach ($of->limits as $limit) {
            if ($drill->plan?->loads($limit) === true) {
                $out[$limit->key()] = new Reason(ReasonCode::Limit, limit: $limit);
            }
        }

        return array_values($out);
    }

    /** @return list<Reason> */
    private static function harms(Drill $drill, Codebook $codebook, Situation $of): array
    {
        $out = $drill->harms ? [new Reason(ReasonCode::HarmList, says: $drill->caution)] : [];
        foreach (array_keys($of->present) as $fault) {
            if (in_array($drill->key, $codebook->faults[$fault]->harms ?? [], true)) {
                $out[] = new Reason(ReasonCode::Worsens, $fault);
            }
        }

        return $out;
    }

    /** @return list<int> the smaller the earlier */
    private static function order(RankedDrill $of): array
    {
        return [
            $of->has(ReasonCode::FirstCause) ? 0 : ($of->has(ReasonCode::AlsoSeen) ? 1 : 2),
            $of->has(ReasonCode::LensRefuses) ? 1 : 0,
            $of->severity(),
            $of->has(ReasonCode::HarmList) || $of->has(ReasonCode::Worsens) ? 1 : 0,
        ];
    }
}
