<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\CoreException;

/** The misses a rater expects of this swing, each with its likelihood; what is left is that there is none. */
final readonly class Misses
{
    /** @var array<string, int> per cent by miss, likeliest first, then in the order of Miss */
    public array $percent;

    /**
     * @param  array<string, int>  $percent  1 to 100 by miss; at most 100 together
     *
     * @throws CoreException
     */
    public function __construct(array $percent = [])
    {
        $place = array_flip(array_column(Miss::cases(), 'value'));
        foreach ($percent as $miss => $likely) {
            if (! isset($place[$miss]) || $miss === Miss::None->value) {
                throw ReadingException::because('no-such', what: 'miss');
            }
            if ($likely < 1 || $likely > 100) {
                throw ReadingException::because('miss-likely');
            }
        }
        if (array_sum($percent) > 100) {
            throw ReadingException::because('misses-over');
        }
        uksort($percent, static fn (string $a, string $b): int => [$percent[$b], $place[$a]]
            <=> [$percent[$a], $place[$b]]);
        $this->percent = $percent;
    }

    /**
     * One miss that is sure to come, as the sheet of before asked it; none at all for Miss::None.
     *
     * @throws CoreException never
     */
    public static function certain(Miss $miss): self
    {
        return new self($miss === Miss::None ? [] : [$miss->value => 100]);
    }

    /** Per cent that there is none. */
    public function none(): int
    {
        return 100 - array_sum($this->percent);
    }
}
