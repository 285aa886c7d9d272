<?php

declare(strict_types=1);

namespace Core\Consensus;

enum Label: string
{
    case Present = 'present';
    case Absent = 'absent';
    case None = 'none';
}
