<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;

/** The academy's agreed faults under one lens, in the order in which they show in a swing. */
final readonly class Codebook
{
    /** @param  array<string, Fault>  $faults by key */
    public function __construct(public string $version, public Lens $lens, public array $faults)
    {
    }

    public function fault(string $key): Fault
    {
        return $this->faults[$key] ?? throw new CoreException("The codebook has no fault '$key'.");
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_keys($this->faults);
    }

    public static function standard(): self
    {
        return FirstCodebook::make();
    }
}
