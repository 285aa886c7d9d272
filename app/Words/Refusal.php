<?php

declare(strict_types=1);

namespace App\Words;

use App\Exceptions\ActionException;
use Core\CoreException;

/** The sentences of what is refused; what core refuses from lang/en/core.php, where an academy can change them. */
final class Refusal
{
    public static function sentence(CoreException|ActionException $refusal): string
    {
        if ($refusal instanceof ActionException) {
            return $refusal->getMessage();
        }
        $with = [];
        foreach ($refusal->about as $name => $value) {
            $with[(string) $name] = match (true) {
                $value instanceof CoreException => lcfirst(self::sentence($value)),
                $name === 'what' => self::thing($refusal, (string) $value),
                default => (string) $value,
            };
        }

        return self::line($refusal->refusal, $with);
    }

    /** What is spoken of: one of the few things that several lines of an area have in common. */
    private static function thing(CoreException $refusal, string $code): string
    {
        $with = [];
        foreach ($refusal->about as $name => $value) {
            $with[(string) $name] = is_object($value) ? '' : (string) $value;
        }

        return self::line(strstr($refusal->refusal, '.', true).".what.$code", $with);
    }

    /** @param  array<string, string>  $with */
    private static function line(string $key, array $with): string
    {
        $line = __("core.$key", $with);

        return is_string($line) ? $line : $key;
    }
}
