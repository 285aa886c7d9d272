<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Motion\Station;

/**
 * A whole codebook as versioned data: every fault with its rules and sights, every lens with its bands and
 * overrides. What an academy edits, stores and exchanges; checked whole before anything is made of it.
 */
final readonly class CodebookDocument
{
    private const SWINGS_NOT_JUDGED = [
        'rehearsal' => Ground::Rehearsal,
        'drill' => Ground::ExaggeratingDrill,
    ];

    /**
     * @param  array{version: string, faults: array<string, array<string, mixed>>, lenses: array<string, array<string,
     * mixed>>}  $data
     */
    private function __construct(private array $data)
    {
    }

    public static function standard(): self
    {
        return new self(['version' => '1', 'faults' => StandardFaults::rows(), 'lenses' => StandardLenses::rows()]);
    }

    /**
     * @param  array<mixed>  $data
     *
     * @throws CoreException naming the fault or lens and the member that is wrong
     */
    public static function fromArray(array $data): self
    {
        $version = $data['version'] ?? null;
        if (! is_string($version) || preg_match('/^[\w.-]{1,20}$/', $version) !== 1) {
            throw CodebookException::because('version');
        }
        $out = ['version' => $version, 'faults' => [], 'lenses' => []];
        foreach (['faults', 'lenses'] as $part) {
            $rows = $data[$part] ?? null;
            if (! is_array($rows) || $rows === []) {
                throw CodebookException::because('part', part: $part);
            }
            foreach ($rows as $key => $row) {
                if (! is_string($key) || preg_match('/^[a-z][a-z0-9-]{1,39}$/', $key) !== 1 || ! is_array($row)) {
                    throw CodebookException::because('key', key: $key, part: $part);
                }
                /** @var array<string, mixed> $row */
                $out[$part][$key] = $row;
            }
        }
        $document = new self($out);
        foreach (array_keys($out['lenses']) as $lens) {
            $document->under((string) $lens);
        }

        return $document;
    }

    /**
     * @return array{version: string, faults: array<string, array<string, mixed>>, lenses: array<string, array<string,
     * mixed>>}
     */
    public function toArray(): array
    {
        return $this->data;
    }

    public function version(): string
    {
        return $this->data['version'];
    }

    /** @return array<string, string> names by lens key, the default first */
    public function lenses(): array
    {
        return array_map(
            fn (array $row): string => is_string($row['name'] ?? null) ? $row['name'] : '',
            $this->data['lenses'],
        );
    }

    /** @return list<string> lenses on which a fault has other rules than under the default, or does not count */
    public function differingOn(string $fault): array
    {
        $out = [];
        foreach ($this->data['lenses'] as $key => $row) {
            if (isset(((array) ($row['rules'] ?? []))[$fault]) || in_array($fault, (array) ($row['off'] ?? []), true)) {
                $out[] = $key;
            }
        }

        return $out;
    }

    /**
     * The codebook under one lens, for a club group and a kind of swing.
     *
     * @throws CoreException when the lens is not held or something in the document is wrong
     */
    public function under(string $lens, ?ClubGroup $club = null, string $swing = 'full'): Codebook
    {
        $row =
            $this->data['lenses'][$lens] ??
            throw CodebookException::because(
                'no-lens',
                lens: $lens,
                held: implode(', ', array_keys($this->data['lenses'])),
            );
        $reader = new DocumentReader('lens', $lens);
        $off = $reader->texts($row, 'off');
        $rules = $reader->map($row, 'rules');
        foreach ([...$off, ...array_keys($rules)] as $key) {
            if (! isset($this->data['faults'][$key])) {
                throw CodebookException::because('lens-fault', lens: $lens, key: $key);
            }
        }
        $faults = [];
        foreach ($this->data['faults'] as $key => $fault) {
            if (! in_array($key, $off, true)) {
                $faults[$key] = $this->fault($key, $fault, is_array($rules[$key] ?? null) ? $rules[$key] : []);
            }
        }
        $bands = $reader->bands($reader->map($row, 'bands'));
        $byClub = $reader->map($row, 'by_club');
        foreach ($byClub as $group => $own) {
            if (ClubGroup::tryFrom((string) $group) === null || ! is_array($own)) {
                throw CodebookException::because('club-group', lens: $lens, group: $group);
            }
            $own = $reader->bands($own);
            if ($club?->value === $group) {
                $bands = [...$bands, ...$own];
            }
        }
        $footwork = [];
        foreach (Lens::FOOTWORK as $name) {
            if (isset($row[$name])) {
                $footwork[$name] = $reader->text($row, $name);
            }
        }

        return new Codebook(
            $this->data['version'],
            new Lens(
                $lens,
                $reader->text($row, 'name'),
                $reader->text($row, 'says'),
                $bands,
                isset($row['version']) ? $reader->text($row, 'version') : '1',
                $off,
                $footwork,
            ),
            $faults,
            self::SWINGS_NOT_JUDGED[$swing] ?? null,
        );
    }

    /**
     * @param  array<string, mixed>  $row
     * @param  array<mixed>  $override
     *
     * @throws CoreException
     */
    private function fault(string $key, array $row, array $override): Fault
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
