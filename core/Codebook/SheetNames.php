<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;

/** What of a codebook a sheet may name: the faults that count under its lens, and the drills. No rule of it is read. */
final readonly class SheetNames
{
    /**
     * @param  array<string, mixed>  $faults  by key
     * @param  array<string, mixed>  $drills  by key
     */
    public function __construct(private array $faults, private array $drills)
    {
    }

    /** @throws CoreException where it is not held, or does not count */
    public function fault(string $key): string
    {
        return isset($this->faults[$key]) ? $key : throw CodebookException::because('no-fault', key: $key);
    }

    public function holdsDrill(string $key): bool
    {
        return isset($this->drills[$key]);
    }
}
