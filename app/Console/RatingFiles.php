<?php

declare(strict_types=1);

namespace App\Console;

use Core\Format\FormatException;

/** Ratings and keys from files, or from standard input. */
trait RatingFiles
{
    /**
     * @param  callable(resource, string): string  $reader
     * @return string what the reader returns: the file's checksum
     *
     * @throws FormatException when the file cannot be read, or is not what the reader wants
     */
    private function read(string $path, callable $reader): string
    {
        $name = $path === '-' ? 'standard input' : basename($path);
        $stream = is_dir($path) ? false : @fopen($path === '-' ? 'php://stdin' : $path, 'rb');
        if ($stream === false) {
            throw FormatException::in($name, 'cannot-be-read');
        }
        try {
            return $reader($stream, $name);
        } finally {
            fclose($stream);
        }
    }
}
