<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Reading;

/** The sheet was made from an older version of the reading than the one kept. */
final class StaleSheet extends \DomainException
{
    public function __construct(public readonly Reading $reading)
    {
        parent::__construct('This case was changed in another window; that version is kept. Reload to go on from it.');
    }
}
