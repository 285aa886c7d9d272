<?php

declare(strict_types=1);

namespace Core\Trace;

/** What is reckoned from a whole trace and asked for again and again, kept for as long as the trace is. */
final class Derived
{
    /** @var \WeakMap<Trace, array<string, mixed>>|null */
    private static ?\WeakMap $known = null;

    /**
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     */
    public static function of(Trace $trace, string $what, callable $make): mixed
    {
        self::$known ??= new \WeakMap;
        $all = self::$known[$trace] ?? [];
        if (! array_key_exists($what, $all)) {
            $all[$what] = $make();
            // What $make asked for meanwhile is kept as well.
            self::$known[$trace] = [...(self::$known[$trace] ?? []), $what => $all[$what]];
        }

        /** @var T */
        return $all[$what];
    }
}
