<?php

declare(strict_types=1);

namespace App\Console;

/** What a study found, into the file that was named or onto the screen. */
trait StudyFile
{
    /** @return int the command's exit code */
    private function put(string $text): int
    {
        $out = $this->option('out');
        if (! is_string($out) || $out === '') {
            $this->line($text);
        } elseif (@file_put_contents($out, $text) === false) {
            $this->output->getErrorStyle()->writeln("$out cannot be written");

            return self::FAILURE;
        } else {
            $this->line("written: $out");
        }

        return self::SUCCESS;
    }
}
