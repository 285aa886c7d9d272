<?php

declare(strict_types=1);

namespace App\Console;

use App\Exceptions\ActionException;

/** Of commands that open or close what lies under a passphrase: never an argument, which others on the machine see. */
trait AsksPassphrase
{
    /** @throws ActionException where the file with it cannot be read */
    private function passphrase(): string
    {
        $file = $this->option('passphrase-file');
        if (is_string($file) && $file !== '') {
            $lines = is_file($file) ? @file($file, FILE_IGNORE_NEW_LINES) : false;

            return is_array($lines)
                ? $lines[0] ?? ''
                : throw ActionException::because('refusals.house.no-file', ['path' => $file]);
        }
        $said = $this->secret('Passphrase');

        return is_string($said) ? $said : '';
    }
}
