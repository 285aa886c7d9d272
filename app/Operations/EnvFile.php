<?php

declare(strict_types=1);

namespace App\Operations;

use RuntimeException;

/** The settings of this installation: a line for each name. Written whole or not at all, and for its owner alone. */
final readonly class EnvFile
{
    public function __construct(private string $path)
    {
    }

    /** @return string empty where it is not set */
    public function get(string $name): string
    {
        $is = '';
        foreach ($this->lines() as $line) {
            if (str_starts_with($line, "$name=")) {
                $is = trim(substr($line, strlen($name) + 1), '"');
            }
        }

        return $is;
    }

    /** @param  array<string, string>  $values */
    public function set(array $values): void
    {
        $kept = array_filter(
            $this->lines(),
            static fn (string $line): bool => ! isset($values[strstr($line, '=', true)]),
        );
        foreach ($values as $name => $value) {
            $kept[] = "$name=$value";
        }
        $new = "$this->path.new.".getmypid();
        $mode = umask(0077);
        try {
            $isWritten = file_put_contents($new, implode("\n", $kept)."\n") !== false && rename($new, $this->path);
        } finally {
            umask($mode);
        }
        if (! $isWritten) {
            throw new RuntimeException("$this->path could not be written");
        }
    }

    /** @return list<string> */
    private function lines(): array
    {
        $text = is_file($this->path) ? file_get_contents($this->path) : '';

        return $text === '' || $text === false ? [] : explode("\n", rtrim($text, "\n"));
    }
}
