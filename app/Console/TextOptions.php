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

    private function whole(string $name): int
    {
        $text = $this->text($name);

        return preg_match('/^-?\d{1,18}$/D', $text) === 1
            ? (int) $text
            : throw ConsoleException::because('not-whole', name: $name, text: $text);
    }

    /**
     * @template T of string
     *
     * @param  non-empty-list<T>  $allowed
     * @return T
     */
    private function oneOf(string $name, array $allowed): string
    {
        $text = $this->text($name);
        $last = $allowed[count($allowed) - 1];
        foreach ($allowed as $one) {
            if ($one === $text) {
                return $one;
            }
        }

        throw ConsoleException::because(
            'not-among',
            name: $name,
            text: $text,
            all: implode(', ', array_slice($allowed, 0, -1)),
            last: $last,
        );
    }
}
