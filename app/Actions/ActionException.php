<?php

declare(strict_types=1);

namespace App\Actions;

/** An action refused; the message says what happened, what was kept and what to do. */
final class ActionException extends \DomainException
{
}
