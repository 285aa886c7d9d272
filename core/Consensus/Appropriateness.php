<?php

declare(strict_types=1);

namespace Core\Consensus;

/** What a drill would do for a case, as a panel judges it together. */
enum Appropriateness: string
{
    case Helps = 'helps';
    case Uncertain = 'uncertain';
    case Harms = 'harms';
    case Unsafe = 'unsafe';
}
