<?php

declare(strict_types=1);

namespace Core\Codebook;

/** A school of coaching: a named, versioned set of reference bands. Rules live with the faults of the codebook. */
final readonly class Lens
{
    /** @param  array<string, array{float, float}>  $bands by measure key, or measure@STATION */
    public function __construct(public string $key, public string $name, public string $says, public array $bands)
    {
    }
}
