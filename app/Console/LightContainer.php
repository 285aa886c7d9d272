<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Container\Container;

/** The container of a command that needs no application, with the one thing commands ask an application for. */
final class LightContainer extends Container
{
    public function runningUnitTests(): bool
    {
        return false;
    }
}
