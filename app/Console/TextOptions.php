<?php

declare(strict_types=1);

namespace App\Console;

/** Options and arguments of a command as the text they were typed as. */
trait TextOptions
{
    /** Null where it was not given. */
    private function given(string $name): ?string
    {
        $value = $this->hasArgument($name) ? $this->argument($name) : $this->option($name);

        return is_string($value) ? $value : null;
    }

    private function text(string $name): string
    {
        return (string) $this->given($name);
    }
}
