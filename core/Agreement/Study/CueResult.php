<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

/** What is to be said of the cues that readers would give. */
final readonly class CueResult
{
    /**
     * Shares of a reader's cues: with words known to provoke, claiming what was not shown, of more than eight words.
     */
    public const FIGURES = ['provokes', 'unsupported', 'long'];

    /**
     * @param  int  $sheets  that could hold a cue
     * @param  list<RaterResult>  $people  by reader, of those who gave one
     * @param  array<string, float>  $words  how many a reader's cues have, the mean, by reader
     * @param  array<string, array{cases: list<string>, raters: list<string>, unsupported: int}>  $phrases  by phrase of
     *     the codebook, the most said first; unsupported: how often it claimed what was not shown
     */
    public function __construct(
        public int $sheets,
        public int $cues,
        public array $people,
        public array $words,
        public array $phrases,
    ) {
    }
}
