<?php

declare(strict_types=1);

namespace Core\Reading;

/** What to do with a fault that is present. */
enum Decision: string
{
    case Now = 'now';
    case Later = 'later';
    case Leave = 'leave';
}
