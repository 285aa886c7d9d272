<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\CoreException;

/** A place in the evidence that a rater points to. */
final readonly class Pin
{
    /**
     * @param  'film'|'trace'  $on
     * @param  float  $t  seconds from the start of the recording
     */
    public function __construct(public string $on, public float $t)
    {
        if (! in_array($on, ['film', 'trace'], true)) {
            throw new CoreException("A pin stands on film or trace, not on '$on'.");
        }
        if ($t < 0.0 || $t > 600.0) {
            throw new CoreException('A pin must lie within the recording.');
        }
    }
}
