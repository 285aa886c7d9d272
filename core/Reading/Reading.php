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
    /** What the sheet of before said of every cause outside the feet; asked for no more. */
    public const NOT_IN_THE_FEET = 'not-in-the-feet';

    public const CUE_WORDS = 8;

    public const CAUSES = 3;

    public const OTHER = 60;

    /** Stations a rater may time for himself. */
    public const OWN_MARKS = ['TP', 'IM'];

    private const AIDS = 24;

    /**
     * @param  array<string, Call>  $calls  by fault key
     * @param  list<string>  $firstCauses  independent of one another: fault keys, values of Outside or, in old
     *     readings, NOT_IN_THE_FEET; CAUSES at most
     * @param  string|null  $drill  key of the one drill prescribed
     * @param  array<string, float>  $marks  own times of TP and IM, s
     * @param  list<Aid>  $aids
     * @param  string  $otherCause  what Outside::Other is, in words
     * @param  int|null  $breaks  of a ladder: as Ladder has it
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
        public Misses $misses = new Misses,
        public array $marks = [],
        public array $aids = [],
        public string $otherCause = '',
        public ?int $breaks = null,
    ) {
        if (count($firstCauses) > self::CAUSES) {
            throw ReadingException::because('many-causes', most: self::CAUSES);
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
     *     drill?: string|null, stop?: Stop|null, misses?: Misses, marks?: array<string, float>, aids?: list<Aid>,
     *     otherCause?: string, breaks?: int|null}  $change
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
            $change['misses'] ?? $this->misses,
            $change['marks'] ?? $this->marks,
            $change['aids'] ?? $this->aids,
            $change['otherCause'] ?? $this->otherCause,
            array_key_exists('breaks', $change) ? $change['breaks'] : $this->breaks,
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
                    $c->reaction,
                    $c->sound,
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

    /** A finding as it is compared with another's: something else is what it is said to be. */
    public function finding(string $key): string
    {
        return $key === Outside::Other->value ? "$key ".mb_strtolower($this->otherCause) : $key;
    }

    /**
     * What is to be worked on first: the first cause that is to be treated now, or lies outside the feet; else the only
     * fault to be treated now; else nothing.
     */
    public function priority(): string
    {
        $now = array_keys(array_filter($this->calls, static fn (Call $c): bool => $c->decision === Decision::Now));
        foreach ($this->firstCauses as $cause) {
            if (self::isOutside($cause) || in_array($cause, $now, true)) {
                return $this->finding($cause);
            }
        }

        return count($now) === 1 ? $now[0] : '';
    }

    /** Whether a finding is none of the feet. */
    public static function isOutside(string $finding): bool
    {
        return $finding === self::NOT_IN_THE_FEET || Outside::tryFrom($finding) !== null;
    }

    /**
     * What stands in the way of handing in; empty when nothing does.
     *
     * @param  CaseKind  $kind  of a pair it is said of what is present whether it is better, the same or worse after;
     *     of a ladder where the change breaks
     * @return list<Remark>
     *
     * @throws CoreException
     */
    public function obstacles(Codebook $codebook, CaseKind $kind = CaseKind::Single): array
    {
        $out = [];
        foreach ($codebook->faults as $key => $fault) {
            $what = self::lacking($this->calls[$key] ?? null, $kind);
            if ($what !== null) {
                $out[] = Remark::of($what, fault: $fault->name);
            }
        }
        $present = array_keys(
            array_filter($this->calls, static fn (Call $c): bool => $c->presence === Presence::Present),
        );
        $inside = array_filter($this->firstCauses, static fn (string $c): bool => ! self::isOutside($c));
        if (array_diff($inside, $present) !== []) {
            $out[] = Remark::of(Obstacle::CauseNotPresent);
        }
        if ($present !== [] && $this->firstCauses === []) {
            $out[] = Remark::of(Obstacle::CauseMissing);
        }
        $named = [...$this->firstCauses, ...$this->chain->nodes()];
        if (in_array(self::NOT_IN_THE_FEET, $named, true)) {
            $out[] = Remark::of(Obstacle::WhichOutside);
        }
        if (in_array(Outside::Other->value, $named, true) && $this->otherCause === '') {
            $out[] = Remark::of(Obstacle::OtherInWords);
        }
        foreach (array_diff($this->chain->nodes(), $present) as $key) {
            if (! self::isOutside($key)) {
                $out[] = Remark::of(Obstacle::ChainNotPresent, fault: $codebook->fault($key)->name);
            }
        }
        if ($kind === CaseKind::Ladder && $this->breaks === null) {
            $out[] = Remark::of(Obstacle::NoBreak);
        }
        if ($this->drill !== null && $this->stop === null) {
            $out[] = Remark::of(Obstacle::StopMissing);
        }
        if (self::words($this->cue) > self::CUE_WORDS) {
            $out[] = Remark::of(Obstacle::CueLong);
        }

        return $out;
    }

    /** What is not yet said of one fault. */
    private static function lacking(?Call $call, CaseKind $kind): ?Obstacle
    {
        if ($call === null) {
            return Obstacle::NoCall;
        }
        $here = $call->presence === Presence::Present;
        $untold = array_filter($call->pins, static fn (Pin $p): bool => $p->on === 'turf' && $p->turf === null);

        return match (true) {
            $here && $call->severity === null => Obstacle::NoSeverity,
            $here && $kind === CaseKind::Pair && $call->trend === null => Obstacle::NoTrend,
            $untold !== [] => Obstacle::NoTurf,
            default => null,
        };
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
