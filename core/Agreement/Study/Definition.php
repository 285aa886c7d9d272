<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Profile\ConfusedWith;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;
use Core\CoreException;
use Core\Remark\Remark;

/**
 * Whether the definition of one fault holds: whether those who call it would be joined, in panel and staff, and by what
 * evidence it can be told.
 */
final readonly class Definition
{
    /** Of those who say present, so large a part should be joined by any other who could tell. */
    public const JOINED = 0.5;

    /** A panel that settles less than this does not know either. */
    private const CONTESTED = 0.25;

    /** Cases before anything is proposed of a fault that hardly occurs; how rare it then is at most. */
    private const CASES = 60;

    private const RARE = 0.05;

    /** Cannot tell: at least so often here, at most so often there, each as sure as its interval. */
    private const UNTOLD = 0.5;

    private const TOLD = 0.25;

    /**
     * @param  Figure|null  $joined  specific agreement on present, of the staff in the newest round that asked it
     * @param  int  $panelCases  cases a panel judged, over all studies
     * @param  int  $contested  of them not settled
     * @param  list<array{int, int}>  $present  by golfer, of how many settled cases it was present in how many: [in,
     *     of]
     * @param  array<string, list<array{int, int}>>  $untold  by device and golfer, in how many of how many calls of the
     *     staff it could not be told
     * @param  list<ConfusedWith>  $confused
     * @param  array<string, list<array{int, int}>>  $joinedOn  by device and golfer, of the ordered pairs of readers
     *     who could tell, shown the same of one case, whose first says present: whose second does too, of all
     */
    public function __construct(
        public ?Figure $joined,
        public int $panelCases,
        public int $contested,
        public array $present,
        public array $untold,
        public array $confused,
        public array $joinedOn = [],
    ) {
    }

    /**
     * @return list<Remark> of Proposal, the gravest first; never empty
     *
     * @throws CoreException where counts are more than of what
     */
    public function proposals(): array
    {
        return [
            ...$this->whole(),
            ...array_map(static fn (ConfusedWith $c): Remark => Remark::of(
                Proposal::DrawTheLine,
                other: $c->fault,
                together: $c->together,
                missed: $c->missed,
                otherwise: $c->otherwise,
                others: $c->others,
            ), $this->confused),
            ...$this->byEvidence(),
            ...$this->rare(),
        ];
    }

    /** @return list<Remark> of agreement as a whole */
    private function whole(): array
    {
        $high = $this->joined?->high;
        $low = $this->joined?->low;
        $contested = $this->panelCases === 0 ? null : (float) $this->contested / $this->panelCases;
        $with = [
            'agreed_percent' => 100.0 * ($this->joined->estimate ?? 0.0),
            'contested_percent' => 100.0 * ($contested ?? 0.0),
        ];

        return [match (true) {
            $low !== null && $low >= self::JOINED => Remark::of(
                Proposal::Holds,
                agreed_percent: $with['agreed_percent'],
            ),
            $high !== null && $high < self::JOINED && $contested !== null => Remark::of(
                $contested > self::CONTESTED ? Proposal::Sharpen : Proposal::Practise,
                ...$with,
            ),
            default => Remark::of(Proposal::NotYet, cases: $this->panelCases),
        }];
    }

    /**
     * How often it could not be told on one kind of evidence, as sure as the golfers behind it make it.
     *
     * @throws CoreException where counts are more than of what
     */
    public function untoldOn(string $device): Figure
    {
        return Wilson::clustered($this->untold[$device] ?? [], new Confidence, Undefined::NobodyCalledPresent);
    }

    /**
     * How often another says present when one does, on one kind of evidence, for these readers.
     *
     * @throws CoreException where counts are more than of what
     */
    public function joinedOn(string $device): Figure
    {
        return Wilson::clustered($this->joinedOn[$device] ?? [], new Confidence, Undefined::NobodyCalledPresent);
    }

    /**
     * @return list<Remark>
     *
     * @throws CoreException
     */
    private function byEvidence(): array
    {
        $poor = $good = [];
        foreach (array_keys($this->untold) as $device) {
            $of = $this->untoldOn((string) $device);
            if ($of->estimate !== null && $of->low !== null && $of->low > self::UNTOLD) {
                $poor[(string) $device] = 100.0 * $of->estimate;
            } elseif ($of->estimate !== null && $of->high !== null && $of->high < self::TOLD) {
                $good[(string) $device] = 100.0 * $of->estimate;
            }
        }
        if ($good === []) {
            return [];
        }
        asort($good);
        $out = [];
        foreach ($poor as $device => $share) {
            $out[] = Remark::of(
                Proposal::SplitByEvidence,
                device: $device,
                untold_percent: $share,
                other: (string) array_key_first($good),
                told_percent: $good[array_key_first($good)],
            );
        }

        return $out;
    }

    /**
     * @return list<Remark>
     *
     * @throws CoreException
     */
    private function rare(): array
    {
        $settled = array_sum(array_column($this->present, 1));
        if ($settled < self::CASES) {
            return [];
        }
        $high = Wilson::clustered($this->present, new Confidence, Undefined::NobodyCalledPresent)->high;

        return $high === null || $high >= self::RARE
            ? []
            : [Remark::of(Proposal::Drop, cases: $settled, at_most_percent: 100.0 * $high)];
    }
}
