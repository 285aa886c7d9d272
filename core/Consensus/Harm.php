<?php

declare(strict_types=1);

namespace Core\Consensus;

/** What a member says a drill would do who scores it 3 or less. */
enum Harm: string
{
    case AddsFault = 'adds-fault';
    case Unsafe = 'unsafe';
}
