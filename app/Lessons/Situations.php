<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Codebook\Codebooks;
use App\Models\GolferLimit;
use App\Models\Prescription;
use Core\Codebook\Codebook;
use Core\Codebook\CuePhrase;
use Core\CoreException;
use Core\Prescription\RankedDrill;
use Core\Prescription\Ranking;
use Core\Prescription\Situation;
use Core\Reading\Decision;

/** What a prescription is looked for in, as core knows it. */
final readonly class Situations
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    public function codebook(Prescription $of): Codebook
    {
        return $this->codebooks->under($this->codebooks->document($of->codebook_version), $of->lens);
    }

    /** @return array<string, CuePhrase> what is known against words in a cue */
    public function phrases(Prescription $of): array
    {
        return $this->codebooks->document($of->codebook_version)->cues();
    }

    /**
     * Limits are those of today: what a professional has cleared speaks against nothing.
     *
     * @throws CoreException where a cause was not seen
     */
    public function of(Prescription $of): Situation
    {
        $present = [];
        foreach ($of->faults as $fault => $decision) {
            $present[(string) $fault] = Decision::from($decision);
        }
        $golfer = $of->lesson->golfer;

        return new Situation(
            $present,
            $of->causes,
            array_values($golfer->limitsInForce
                ->filter(static fn (GolferLimit $l): bool => ! $l->isClearedNow())
                ->map(static fn (GolferLimit $l) => $l->toCore())
                ->all()),
            $golfer->level,
        );
    }

    /**
     * The chosen drill with what speaks for and against it; null where none is chosen.
     *
     * @throws CoreException
     */
    public function chosen(Prescription $of): ?RankedDrill
    {
        $codebook = $this->codebook($of);
        $drill = $codebook->drills()[$of->drill ?? ''] ?? null;

        return $drill === null ? null : Ranking::weighed($drill, $codebook, $this->of($of));
    }
}
