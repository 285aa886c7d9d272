<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/**
 * Chunks of a live recording put together in order of their samples, whatever order they arrived in. A sample sent
 * twice counts once; one that never arrived is missing.
 */
final class Assembly
{
    /**
     * @param  list<string>  $channels
     * @param  iterable<array{int, list<float>}>  $chunks  first sample and values, sample by sample, channel by channel
     * @param  int  $from  first sample wanted
     * @param  int  $to  last sample wanted
     * @return array<string, list<float>> by channel, NAN = missing
     *
     * @throws CoreException
     */
    public static function assembled(array $channels, iterable $chunks, int $from, int $to): array
    {
        $width = count($channels);
        if ($width === 0 || $to < $from) {
            throw TraceException::because('nothing');
        }
        $rows = array_fill(0, ($to - $from + 1) * $width, NAN);
        foreach ($chunks as [$first, $values]) {
            $samples = intdiv(count($values), $width);
            $a = max(0, $from - $first);
            $b = min($samples, $to - $first + 1);
            for ($k = $a * $width; $k < $b * $width; $k++) {
                $rows[($first - $from) * $width + $k] = $values[$k];
            }
        }
        $out = array_fill_keys($channels, []);
        foreach ($channels as $c => $name) {
            $column = [];
            for ($i = $c, $n = count($rows); $i < $n; $i += $width) {
                $column[] = $rows[$i];
            }
            $out[$name] = $column;
        }

        return $out;
    }
}
