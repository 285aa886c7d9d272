<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\Codebook\Codebook;
use Core\Codebook\Shown;
use Core\CoreException;
use Core\Remark\Remark;

/** All that one rater says about one case. */
final readonly class Reading
{
    public const NOT_IN_THE_FEET = 'not-in-the-feet';

    public const CUE_WORDS = 8;

    /** Stations a rater may time for himself. */
    public const OWN_MARKS = ['TP', 'IM'];

    private const AIDS = 24;

    /**
     * @param  array<string, Call>  $calls  by fault key
     * @param  list<string>  $firstCauses  fault keys or NOT_IN_THE_FEET, two at most
     * @param  string|null  $drill  key of the one drill prescribed
     * @param  array<string, float>  $marks  own times of TP and IM, s
     * @param  list<Aid>  $aids
     *
     * @throws CoreException
     */
    public function __construct(
        public array $calls,
        public array $firstCauses = [],
        public string $cue = '',
        public Chain $chain = new Chain,
        public ?string $drill = null,
        public ?Stop $stop = null,
        public ?Miss $miss = null,
        public array $marks = [],
        public array $aids = [],
    ) {
        if (count($firstCauses) > 2) {
            throw ReadingException::because('two-causes');
        }
        if (count($aids) > self::AIDS) {
            throw ReadingException::because('many-aids', aids: self::AIDS);
        }
        if ($stop !== null && $drill === null) {
            throw ReadingException::because('stop-of-drill');
        }
    }

    /**
     * This reading with some of it replaced.
     *
     * @param  array{calls?: array<string, Call>, firstCauses?: list<string>, cue?: string, chain?: Chain,
     *     drill?: string|null, stop?: Stop|null, miss?: Miss|null, marks?: array<string, float>, aids?: list<Aid>}  $change
     *
     * @throws CoreException
     */
    public function with(array $change): self
    {
        return new self(
            $change['calls'] ?? $this->calls,
            $change['firstCauses'] ?? $this->firstCauses,
            $change['cue'] ?? $this->cue,
            $change['chain'] ?? $this->chain,
            array_key_exists('drill', $change) ? $change['drill'] : $this->drill,
            array_key_exists('stop', $change) ? $change['stop'] : $this->stop,
            array_key_exists('miss', $change) ? $change['miss'] : $this->miss,
            $change['marks'] ?? $this->marks,
            $change['aids'] ?? $this->aids,
        );
    }

    /**
     * The same with every time moved, to the ten-thousandth of a second that is stored; a time never falls before
     * nought.
     *
     * @param  array<int, float>  $by  seconds to add, by swing of the case
     *
     * @throws CoreException
     */
    public function later(array $by): self
    {
        if ($by === []) {
            return $this;
        }
        $moved = static fn (float $t, int $swing): float => max(0.0, round($t + ($by[$swing] ?? 0.0), 4));

        return $this->with([
            'calls' => array_map(
                static fn (Call $c): Call => new Call(
                    $c->fault,
                    $c->presence,
                    $c->severity,
                    $c->onset,
                    $c->decision,
                    $c->confidence,
                    array_map(
                        static fn (Pin $p): Pin => $p->t === null
                            ? $p
                            : new Pin($p->on, $moved($p->t, $p->swing), $p->reason, $p->view, $p->swing),
                        $c->pins,
                    ),
                    $c->trend,
                ),
                $this->calls,
            ),
            'marks' => array_map(static fn (float $t): float => $moved($t, 1), $this->marks),
            'aids' => array_map(
                static fn (Aid $a): Aid => new Aid(
                    $a->kind,
                    $a->view,
                    array_map(static fn (array $p): array => [...$p, 't' => $moved($p['t'], $a->swing)], $a->points),
                    $a->swing,
                ),
                $this->aids,
            ),
        ]);
    }

    /**
     * What stands in the way of handing in; empty when nothing does.
     *
     * @param  bool  $pair  whether the case is a pair, where what is present is better, the same or worse after
     * @return list<Remark>
     *
     * @throws CoreException
     */
    public function obstacles(Codebook $codebook, bool $pair = false): array
    {
        $out = [];
        foreach ($codebook->faults as $key => $fault) {
            $call = $this->calls[$key] ?? null;
            if ($call === null) {
                $out[] = Remark::of(Obstacle::NoCall, fault: $fault->name);
            } elseif ($call->presence === Presence::Present && $call->severity === null) {
                $out[] = Remark::of(Obstacle::NoSeverity, fault: $fault->name);
            } elseif ($pair && $call->presence === Presence::Present && $call->trend === null) {
                $out[] = Remark::of(Obstacle::NoTrend, fault: $fault->name);
            }
        }
        $present = array_keys(
            array_filter($this->calls, static fn (Call $c): bool => $c->presence === Presence::Present),
        );
        if (array_diff($this->firstCauses, $present, [self::NOT_IN_THE_FEET]) !== []) {
            $out[] = Remark::of(Obstacle::CauseNotPresent);
        }
        if ($present !== [] && $this->firstCauses === []) {
            $out[] = Remark::of(Obstacle::CauseMissing);
        }
        foreach (array_diff($this->chain->nodes(), $present, [self::NOT_IN_THE_FEET]) as $key) {
            $out[] = Remark::of(Obstacle::ChainNotPresent, fault: $codebook->fault($key)->name);
        }
        if ($this->drill !== null && $this->stop === null) {
            $out[] = Remark::of(Obstacle::StopMissing);
        }
        if (self::words($this->cue) > self::CUE_WORDS) {
            $out[] = Remark::of(Obstacle::CueLong);
        }

        return $out;
    }

    /**
     * Calls of present or absent made where the shown evidence cannot support them. Allowed, counted, told afterwards.
     *
     * @return list<string> fault keys
     *
     * @throws CoreException
     */
    public function unsupported(Codebook $codebook, Shown $shown): array
    {
        $out = [];
        foreach ($this->calls as $key => $call) {
            if (
                $call->presence !== Presence::CannotTell &&
                ! $codebook->fault($key)->observability($shown)->supports()
            ) {
                $out[] = $key;
            }
        }

        return $out;
    }

    public static function words(string $text): int
    {
        return preg_match_all('/[^\s]+/u', trim($text)) ?: 0;
    }
}
