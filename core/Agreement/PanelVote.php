<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/** What stands behind an entry of a key: a panel's calls, or how sure the key is of it. */
final readonly class PanelVote
{
    private function __construct(public int $present, public int $absent, public ?float $weight)
    {
    }

    /** @throws CoreException when a number is negative */
    public static function counted(int $present, int $absent): self
    {
        if ($present < 0 || $absent < 0) {
            throw AgreementException::because('vote');
        }

        return new self($present, $absent, null);
    }

    /**
     * @param  float  $weight  probability that it is there, in [0, 1]
     *
     * @throws CoreException when it is not
     */
    public static function weighed(float $weight): self
    {
        if (is_nan($weight) || $weight < 0.0 || $weight > 1.0) {
            throw AgreementException::because('vote-weight');
        }

        return new self(0, 0, $weight);
    }
}
