<?php

declare(strict_types=1);

namespace App\Exceptions;

/** An action refused; the message says what happened, what was kept and what to do. */
final class ActionException extends \DomainException
{
    /** The code of a refusal because the thing is there already: no loss, and no fault when many are taken in. */
    public const KNOWN = 409;
}
