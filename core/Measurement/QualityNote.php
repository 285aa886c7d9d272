<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Trace\QualityFinding;

/** A finding about a recording with the keys of the measures it touches. */
final readonly class QualityNote
{
    /** @param  list<string>  $measures */
    public function __construct(public QualityFinding $finding, public array $measures)
    {
    }
}
