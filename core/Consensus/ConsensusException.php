<?php

declare(strict_types=1);

namespace Core\Consensus;

use Core\CoreException;

/** What a panel cannot say together. */
final class ConsensusException extends CoreException
{
    protected const AREA = 'consensus';
}
