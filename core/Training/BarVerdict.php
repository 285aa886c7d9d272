<?php

declare(strict_types=1);

namespace Core\Training;

/** Where somebody stands beside a bar. */
enum BarVerdict: string
{
    case Met = 'met';
    case Near = 'near';
    case Missed = 'missed';
    /** Too few to say. */
    case Few = 'few';
}
