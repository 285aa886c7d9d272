<?php

declare(strict_types=1);

namespace Core\Reading;

enum Presence: string
{
    case Present = 'present';
    case Absent = 'absent';
    case CannotTell = 'cannot-tell';
}
