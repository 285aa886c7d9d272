<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\Trace\QualityFinding;
use Core\Trace\Trace;

/** Looks a recording over for one kind of fault of the instrument. */
interface Check
{
    /** @return list<QualityFinding> */
    public function of(Trace $trace): array;
}
