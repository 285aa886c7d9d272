<?php

declare(strict_types=1);

namespace Core\Consensus;

use Core\Reading\Reading;
use Core\Reading\Stop;

/**
 * What a panel says together of a case beyond what is present: first causes, chain, priority, what to do with each
 * fault, misses, what is sound, which drills. Each has its majority, or is told as agreement only.
 */
final readonly class CaseConsensus
{
    /**
     * @param  int  $readers  whose sheet could say all of it
     * @param  array<string, Tally>  $decisions  of those who called it present, by fault
     * @param  array<string, Tally>  $trends  of a pair, likewise
     * @param  array<string, float>  $misses  mean likelihood, per cent, the likeliest first
     * @param  SetTally  $sound  faults that are absent and to be kept so
     * @param  Tally|null  $breaks  of a ladder, as Ladder has it
     * @param  array<string, int>  $drills  how many chose each
     * @param  array<string, array<string, DrillConsensus>>  $judged  how appropriate each drill in question is, by rung
     */
    public function __construct(
        public int $readers,
        public SetTally $causes,
        public SetTally $chain,
        public Tally $priority,
        public array $decisions,
        public array $trends,
        public array $misses,
        public SetTally $sound,
        public ?Tally $breaks,
        public array $drills,
        public array $judged = [],
    ) {
    }

    /** @param  array<string, array<string, DrillConsensus>>  $judged  by drill and rung */
    public function judged(array $judged): self
    {
        return new self(
            $this->readers,
            $this->causes,
            $this->chain,
            $this->priority,
            $this->decisions,
            $this->trends,
            $this->misses,
            $this->sound,
            $this->breaks,
            $this->drills,
            $judged,
        );
    }

    /**
     * What the panel says a drill would do that is taken so far. What is unsafe lower down is unsafe here too.
     *
     * @return Appropriateness|null null where the panel did not judge it, or too few to be held to
     */
    public function appropriateness(string $drill, Stop $stop): ?Appropriateness
    {
        foreach (Stop::cases() as $rung) {
            $here = $this->judged[$drill][$rung->value] ?? null;
            if ($here?->verdict() === Appropriateness::Unsafe) {
                return Appropriateness::Unsafe;
            }
            if ($rung === $stop) {
                return $here?->isSettled() === true ? $here->verdict() : null;
            }
        }

        return null;
    }

    /**
     * @param  list<Reading>  $readings  one a member, whose sheets could say all of it
     * @param  float  $majority  in (0.5, 1]
     * @param  int  $able  how many must have answered
     */
    public static function fromReadings(array $readings, float $majority = 0.75, int $able = 3): self
    {
        $causes = $links = $sound = $priorities = $breaks = $drills = [];
        $decisions = $trends = [];
        foreach ($readings as $reading) {
            $causes[] = self::causes($reading);
            $links[] = self::links($reading);
            $priorities[] = $reading->priority();
            $kept = [];
            foreach ($reading->calls as $fault => $call) {
                if ($call->decision !== null) {
                    $decisions[$fault][] = $call->decision->value;
                }
                if ($call->trend !== null) {
                    $trends[$fault][] = $call->trend->value;
                }
                if ($call->sound) {
                    $kept[] = $fault;
                }
            }
            $sound[] = $kept;
            array_push($breaks, ...$reading->breaks === null ? [] : [(string) $reading->breaks]);
            array_push($drills, ...$reading->drill === null ? [] : [$reading->drill]);
        }
        ksort($decisions, SORT_STRING);
        ksort($trends, SORT_STRING);
        $tallies = [];
        foreach ([$decisions, $trends] as $which => $said) {
            $tallies[$which] = array_map(
                static fn (array $answers): Tally => Tally::of($answers, $majority, $able),
                $said,
            );
        }

        return new self(
            count($readings),
            SetTally::of($causes, $majority, $able),
            SetTally::of($links, $majority, $able),
            Tally::of($priorities, $majority, $able),
            $tallies[0],
            $tallies[1],
            self::meanMisses($readings),
            SetTally::of($sound, $majority, $able),
            $breaks === [] ? null : Tally::of($breaks, $majority, $able),
            Tally::counted($drills),
        );
    }

    /**
     * First causes as a set that is compared: what is said in words is itself, so that two who say something else do
     * not agree.
     *
     * @return list<string>
     */
    public static function causes(Reading $reading): array
    {
        return array_map($reading->finding(...), $reading->firstCauses);
    }

    /** @return list<string> each link as cause>effect */
    public static function links(Reading $reading): array
    {
        return array_map(
            static fn (array $link): string => "{$reading->finding($link[0])}>$link[1]",
            $reading->chain->links,
        );
    }

    /**
     * @param  list<Reading>  $readings
     * @return array<string, float>
     */
    private static function meanMisses(array $readings): array
    {
        $out = [];
        foreach ($readings as $reading) {
            foreach ($reading->misses->percent as $miss => $percent) {
                $out[$miss] = ($out[$miss] ?? 0.0) + (float) $percent / count($readings);
            }
        }
        uksort($out, static fn (string $a, string $b): int => [$out[$b], $a] <=> [$out[$a], $b]);

        return $out;
    }
}
