<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What people have in common by whom they can be chosen together. */
enum GroupKind: string
{
    case Site = 'site';
    case Seniority = 'seniority';
    case Other = 'other';
}
