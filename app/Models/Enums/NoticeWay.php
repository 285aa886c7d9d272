<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** How a person wants to be told. */
enum NoticeWay: string
{
    /** On the page, and in the day's letter if it was not seen by then. */
    case Letter = 'letter';
    /** On the page. */
    case Page = 'page';
    case Off = 'off';
}
