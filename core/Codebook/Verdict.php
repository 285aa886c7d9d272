<?php

declare(strict_types=1);

namespace Core\Codebook;

/** What the measurements say of a fault. */
enum Verdict: string
{
    case Supported = 'supported';
    case Borderline = 'borderline';
    case Contradicted = 'contradicted';
    case NotMeasurable = 'not measurable';
}
