<?php

declare(strict_types=1);

namespace App\Audit;

/** Something that happened and goes into the record, whoever else wants to know of it. */
interface Audited
{
    public function entry(): Entry;
}
