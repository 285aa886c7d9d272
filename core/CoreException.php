<?php

declare(strict_types=1);

namespace Core;

/** Anything the core refuses; the message is one sentence fit to be shown to a person. */
class CoreException extends \DomainException
{
}
