<?php

declare(strict_types=1);

namespace Core\Planning;

/**
 * A recording that could become a case: what is in it according to the key, how hard it is, and what it was made with.
 */
final readonly class Candidate
{
    /** @var array<string, string> the difficulty first */
    public array $allTraits;

    /**
     * @param  array<string, bool>  $faults  present or not, of those the key settles and the case lets one see
     * @param  float  $difficulty  0 easy to 1 hard
     * @param  array<string, string>  $traits  device, hand, club and the like
     * @param  string  $beside  all that is told of it beside the swing, by which it could be known again
     */
    public function __construct(
        public string $id,
        public array $faults,
        public float $difficulty,
        public array $traits,
        public string $beside = '',
    ) {
        $this->allTraits = ['difficulty' => $this->grade(), ...$traits];
    }

    /** easy, middling or hard, by thirds of the scale. */
    public function grade(): string
    {
        return match (true) {
            $this->difficulty < 1.0 / 3 => 'easy',
            $this->difficulty < 2.0 / 3 => 'middling',
            default => 'hard',
        };
    }
}
