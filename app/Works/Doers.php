<?php

declare(strict_types=1);

namespace App\Works;

use App\Models\Enums\WorkKind;
use App\Models\Work;

/** Who does the long work of each kind: told where the application is put together, since areas stand on this one. */
final readonly class Doers
{
    /** @param  array<string, \Closure(Work, Progress): mixed>  $by  by the kind's value; each safe to run twice */
    public function __construct(private array $by)
    {
        foreach (WorkKind::cases() as $kind) {
            isset($by[$kind->value]) || throw new \LogicException("Nobody does work of the kind '{$kind->value}'.");
        }
    }

    public function carryOut(Work $work, Progress $progress): void
    {
        ($this->by[$work->kind->value])($work, $progress);
    }
}
