<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\Drill;
use Core\Codebook\Rung;
use Core\Consensus\DrillScore;
use Core\Consensus\Harm;
use Core\CoreException;
use Core\Reading\Call;
use Core\Reading\Chain;
use Core\Reading\Decision;
use Core\Reading\Ladder;
use Core\Reading\Misses;
use Core\Reading\Outside;
use Core\Reading\Presence;
use Core\Reading\Reading;
use Core\Reading\Severity;
use Core\Reading\Stop;

/**
 * What a synthetic rater says of a case as a whole, once its faults are called: first causes, chain, misses, drill,
 * what is sound, where a ladder breaks. The keener the rater, the more often what is there is named.
 */
final readonly class Prescriber
{
    /** From this confidence on an absent fault may be called sound. */
    private const SOUND = 90;

    public function __construct(private Codebook $codebook, private float $sensitivity)
    {
    }

    /**
     * @param  array<string, float>  $strength  of the faults called present, the strongest first
     * @param  list<Outside>  $outside  what is the cause outside the feet
     * @param  int|null  $breaks  where the change of a ladder breaks; null where the case is none
     *
     * @throws CoreException
     */
    public function complete(Reading $reading, array $strength, array $outside, ?int $breaks, Chance $chance): Reading
    {
        $keen = min(0.92, 0.25 + 0.16 * $this->sensitivity);
        $named = [];
        foreach ($outside as $cause) {
            $right = $chance->uniform() < $keen;
            $other = Outside::cases()[$chance->between(0, count(Outside::cases()) - 2)];
            if ($right || $chance->uniform() < 0.4) {
                $named[] = ($right ? $cause : $other)->value;
            }
        }
        $faults = array_keys($strength);
        $first = $faults[0] ?? null;
        $both = $chance->uniform() < 0.35;
        $causes = array_values(
            array_unique([...$named, ...$first !== null && ($named === [] || $both) ? [$first] : []]),
        );
        $calls = $reading->calls;
        if ($named !== [] && $first !== null && ! $both) {
            $calls[$first] = self::altered($calls[$first], Outside::from($named[0]));
        }
        foreach ($calls as $key => $call) {
            if ($call->presence === Presence::Absent && ($call->confidence ?? 0) >= self::SOUND &&
                $chance->uniform() < 0.12) {
                $calls[$key] = self::altered($call, null);
            }
        }

        foreach (array_slice($faults, 1) as $key) {
            $calls[$key] = self::decided($calls[$key], $chance->uniform());
        }

        return $reading->with([
            'calls' => $calls,
            'firstCauses' => array_slice($causes, 0, Reading::CAUSES),
            'otherCause' => '',
            'chain' => new Chain($this->links($named, $faults, $chance)),
            'misses' => new Misses($this->misses($strength, $chance)),
            ...$this->drill($first, $chance),
            'breaks' => $breaks === null ? null : self::broken($breaks, $keen, $chance),
        ]);
    }

    /**
     * @param  list<string>  $named
     * @param  list<string>  $faults
     * @return list<array{string, string}>
     */
    private function links(array $named, array $faults, Chance $chance): array
    {
        $draws = [$chance->uniform(), $chance->uniform()];
        $links = [];
        if (isset($named[0], $faults[0]) && $named[0] !== Outside::Other->value && $draws[0] < 0.7) {
            $links[] = [$named[0], $faults[0]];
        }
        if (isset($faults[1]) && $draws[1] < 0.65) {
            $links[] = [$faults[0], $faults[1]];
        }

        return $links;
    }

    /**
     * @param  array<string, float>  $strength
     * @return array<string, int>
     */
    private function misses(array $strength, Chance $chance): array
    {
        $weights = [];
        foreach (array_slice($strength, 0, 3, true) as $fault => $strong) {
            foreach ($this->codebook->faults[$fault]->misses as $miss) {
                $weights[$miss] = ($weights[$miss] ?? 0.0) + $strong * (0.4 + $chance->uniform());
            }
        }
        arsort($weights);
        $out = [];
        $all = array_sum($weights) * (1.2 + 0.5 * $chance->uniform());
        foreach (array_slice($weights, 0, 2, true) as $miss => $weight) {
            $percent = 10 * (int) round(10.0 * $weight / $all);
            if ($percent > 0) {
                $out[$miss] = min($percent, 100 - array_sum($out));
            }
        }

        return array_filter($out, static fn (int $percent): bool => $percent > 0);
    }

    /**
     * How a synthetic member scores a drill: by whether it is for what the member saw, how far it is taken, and what it
     * loads. The keener the member, the less it varies.
     *
     * @param  list<string>  $present  faults the member called present, what is first among them first
     * @param  bool  $loads  whether it loads what the golfer is to spare
     *
     * @throws CoreException
     */
    public function score(Drill $drill, array $present, Stop $rung, bool $loads, Chance $chance): DrillScore
    {
        $helps = array_values(array_filter(
            $present,
            fn (string $fault): bool => in_array($drill->key, $this->codebook->faults[$fault]->helps, true),
        ));
        $score = match (true) {
            $drill->harms => 2.0,
            $helps === [] => 4.0,
            $helps[0] === ($present[0] ?? null) => 8.2,
            default => 7.0,
        };
        $at = array_flip(array_map(static fn (Stop $s): string => $s->value, Stop::cases()));
        $score -= 1.8 * (float) max(0, $at[$rung->value] - $at[self::last($drill)->value]) + ($loads ? 4.5 : 0.0);
        $said = max(1, min(9, (int) round($score + $chance->normal() * (1.6 - 0.25 * min(4.0, $this->sensitivity)))));
        $grave = $chance->uniform() < ($loads ? 0.8 : 0.05);

        return new DrillScore($said, $said > DrillScore::LOW ? null : ($grave ? Harm::Unsafe : Harm::AddsFault));
    }

    /** The last rung of a sheet that a drill is taken to. */
    private static function last(Drill $drill): Stop
    {
        return match ($drill->plan?->to) {
            Rung::Rehearsal, Rung::WithClub, null => Stop::Rehearsal,
            Rung::HalfSwing, Rung::MidIron => Stop::ShortIron,
            Rung::LongClub => Stop::LongerClubs,
            Rung::FullSpeed, Rung::Course => Stop::FullSpeed,
        };
    }

    /** @return array{drill?: string, stop?: Stop} */
    private function drill(?string $first, Chance $chance): array
    {
        [$well, $which, $far] = [$chance->uniform(), $chance->uniform(), $chance->between(0, 2)];
        $helps = $first === null ? [] : $this->codebook->faults[$first]->helps;
        if ($first === null) {
            return [];
        }
        $all = array_keys($this->codebook->drills());
        sort($all, SORT_STRING);
        $from = $helps !== [] && $well < 0.55 + 0.09 * $this->sensitivity ? $helps : $all;

        return ['drill' => $from[(int) ($which * $which * count($from))], 'stop' => Stop::cases()[$far]];
    }

    private static function broken(int $breaks, float $keen, Chance $chance): int
    {
        $draw = $chance->uniform();

        return match (true) {
            $draw < $keen => $breaks,
            $draw > 0.95 => Ladder::CANNOT_TELL,
            $breaks === Ladder::HOLDS => Ladder::LEAST,
            default => Ladder::HOLDS,
        };
    }

    /**
     * What is not the strongest may wait, and what is slight be left.
     *
     * @throws CoreException never
     */
    private static function decided(Call $call, float $draw): Call
    {
        return new Call(
            $call->fault,
            $call->presence,
            $call->severity,
            $call->onset,
            match (true) {
                $draw < 0.35 => Decision::Later,
                $draw > 0.75 && $call->severity === Severity::Slight => Decision::Leave,
                default => $call->decision,
            },
            $call->confidence,
            $call->pins,
            $call->trend,
            $call->reaction,
        );
    }

    /** @throws CoreException never: a present call answers to something, an absent one is sound */
    private static function altered(Call $call, ?Outside $reaction): Call
    {
        return new Call(
            $call->fault,
            $call->presence,
            $call->severity,
            $call->onset,
            $call->decision,
            $call->confidence,
            $call->pins,
            $call->trend,
            $reaction,
            $reaction === null,
        );
    }
}
