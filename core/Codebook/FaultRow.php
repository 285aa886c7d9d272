<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Motion\Station;

/** A fault as a codebook document holds it. */
final class FaultRow
{
    /**
     * What a fault's rules are for a group of clubs, where they are others.
     *
     * @param  array<string, mixed>  $row
     * @return array<mixed>
     *
     * @throws CoreException
     */
    public static function ofClub(string $key, array $row, ?ClubGroup $club): array
    {
        $by = (new DocumentReader('fault', $key))->map($row, 'by_club');
        foreach ($by as $group => $own) {
            if (ClubGroup::tryFrom((string) $group) === null || ! is_array($own)) {
                throw CodebookException::because('club-group', lens: $key, group: $group);
            }
        }

        return $club === null ? [] : $by[$club->value] ?? [];
    }

    /**
     * @param  array<string, mixed>  $row
     * @param  array<mixed>  $override  rules in place of its own
     *
     * @throws CoreException naming the fault and the member that is wrong
     */
    public static function read(string $key, array $row, array $override): Fault
    {
        $r = new DocumentReader('fault', $key);
        $station =
            Station::tryFrom($r->text($row, 'station')) ??
            throw CodebookException::because('fault-station', key: $key);
        $proxies = is_array($override['proxies'] ?? null) ? $override['proxies'] : [];
        $observabilities = [];
        foreach ($r->list($row, 'sights') as $entry) {
            $needs = $r->texts($entry, 'needs');
            if ($needs === [] || array_diff($needs, Shown::KINDS) !== []) {
                throw CodebookException::because(
                    'sight-needs',
                    key: $key,
                    needs: implode(', ', $needs),
                    kinds: implode(', ', Shown::KINDS),
                );
            }
            $own = $proxies[implode('+', $needs)] ?? [];
            $entry = [...$entry, ...(is_array($own) ? $own : [])];
            $observabilities[] = new ObservabilityEntry(
                $needs,
                Observability::tryFrom($r->text($entry, 'sight')) ??
                    throw CodebookException::because('sight', key: $key),
                isset($entry['proxy']) ? $r->text($entry, 'proxy') : null,
                isset($entry['supported']) ? $r->rule($entry, 'supported') : null,
                isset($entry['contradicted']) ? $r->rule($entry, 'contradicted') : null,
                isset($entry['rate_hz']) && is_numeric($entry['rate_hz']) ? (float) $entry['rate_hz'] : null,
            );
        }
        $ruled = [...$row, ...array_intersect_key($override, ['supported' => 1, 'contradicted' => 1])];

        return new Fault(
            $key, $r->text($row, 'name'), $r->text($row, 'look_for'), $r->text($row, 'in_the_trace'), $station,
            $r->rule($ruled, 'supported'), $r->rule($ruled, 'contradicted'), $observabilities,
            $r->texts($row, 'confused_with'), $r->text($row, 'counter_example'),
            isset($row['disagreement']) ? $r->text($row, 'disagreement') : null,
            $r->texts($row, 'misses'),
            isset($row['cause']) ? $r->text($row, 'cause') : null,
            isset($row['consequence']) ? $r->text($row, 'consequence') : null,
            $r->texts($row, 'helps'),
            $r->texts($row, 'harms'),
        );
    }
}
