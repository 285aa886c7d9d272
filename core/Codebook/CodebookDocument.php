<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measure;

/**
 * A whole codebook as versioned data: every fault with its rules and sights, every lens with its bands and overrides,
 * the drills, the academy's own words, and the phrases that provoke what they should cure. What an academy edits,
 * stores and exchanges; checked whole before anything is made of it. A document of before drills and phrases were part
 * of it has those that shipped.
 *
 * @phpstan-type Rows array<string, array<string, mixed>>
 * @phpstan-type Document array{version: string, faults: Rows, lenses: Rows,
 *     disagreements?: list<array<string, mixed>>, drills?: Rows, words?: Rows, cues?: Rows}
 */
final readonly class CodebookDocument
{
    private const SWINGS_NOT_JUDGED = [
        'rehearsal' => Ground::Rehearsal,
        'drill' => Ground::ExaggeratingDrill,
    ];

    /** What is held by key; the first two every document has. */
    public const PARTS = ['faults', 'lenses', 'drills', 'words', 'cues'];

    private const NEEDED = ['faults', 'lenses'];

    /** @param  Document  $data */
    private function __construct(private array $data)
    {
    }

    /** Versions that have shipped, the newest last: rounds that were read under an old one keep it. */
    public const SHIPPED = ['1', '2'];

    /** The newest that ships with the program. */
    public static function standard(): self
    {
        return new self([
            'version' => '2',
            'faults' => StandardFaults::rows(),
            'lenses' => StandardLenses::rows(),
            'disagreements' => StandardDisagreements::rows(),
            'drills' => array_map(DrillRow::write(...), StandardDrills::all()),
            'cues' => StandardCues::rows(),
        ]);
    }

    /**
     * One that was checked whole when it was published, and cannot have changed since: it is not checked again.
     *
     * @param  Document  $data
     */
    public static function kept(array $data): self
    {
        return new self($data);
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
        foreach (self::PARTS as $part) {
            $rows = $data[$part] ?? null;
            $isNeeded = in_array($part, self::NEEDED, true);
            if ($rows === null && ! $isNeeded) {
                continue;
            }
            if (! is_array($rows) || ($isNeeded && $rows === [])) {
                throw CodebookException::because('part', part: $part);
            }
            $out[$part] = [];
            foreach ($rows as $key => $row) {
                if (! is_string($key) || preg_match('/^[a-z][a-z0-9-]{1,39}$/', $key) !== 1 || ! is_array($row)) {
                    throw CodebookException::because('key', key: $key, part: $part);
                }
                /** @var array<string, mixed> $row */
                $out[$part][$key] = $row;
            }
        }
        if (isset($data['disagreements'])) {
            $reader = new DocumentReader('lens', 'disagreements');
            /** @var list<array<string, mixed>> $rows */
            $rows = $reader->list($data, 'disagreements');
            $out['disagreements'] = $rows;
        }
        $document = new self($out);
        $document->disagreements();
        $document->drills();
        $document->words();
        $document->cues();
        foreach (array_keys($out['lenses']) as $lens) {
            foreach ([null, ...ClubGroup::cases()] as $club) {
                $document->under((string) $lens, $club);
            }
        }

        return $document;
    }

    /** @return Document */
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

    /** @throws CoreException when the lens is not held */
    public function names(string $lens): SheetNames
    {
        $off = (array) ($this->lens($lens)['off'] ?? []);

        return new SheetNames(
            array_filter(
                $this->data['faults'],
                static fn (string $key): bool => ! in_array($key, $off, true),
                ARRAY_FILTER_USE_KEY,
            ),
            $this->data['drills'] ?? StandardDrills::all(),
        );
    }

    /**
     * @return array<string, mixed>
     *
     * @throws CoreException
     */
    private function lens(string $lens): array
    {
        return $this->data['lenses'][$lens] ?? throw CodebookException::because(
            'no-lens',
            lens: $lens,
            held: implode(', ', array_keys($this->data['lenses'])),
        );
    }

    /**
     * The codebook under one lens, for a club group, a kind and a size of swing.
     *
     * @throws CoreException when the lens is not held or something in the document is wrong
     */
    public function under(
        string $lens,
        ?ClubGroup $club = null,
        string $swing = 'full',
        ?SwingSize $size = null,
    ): Codebook {
        $row = $this->lens($lens);
        $reader = new DocumentReader('lens', $lens);
        $off = $reader->texts($row, 'off');
        $rules = $reader->map($row, 'rules');
        $ofClubs = $reader->map($row, 'rules_by_club');
        $named = [];
        foreach ($ofClubs as $group => $own) {
            if (ClubGroup::tryFrom((string) $group) === null || ! is_array($own)) {
                throw CodebookException::because('club-group', lens: $lens, group: $group);
            }
            array_push($named, ...array_keys($own));
            foreach ($club?->value === $group ? $own : [] as $key => $rule) {
                $rules[$key] = [...(is_array($rules[$key] ?? null) ? $rules[$key] : []), ...(array) $rule];
            }
        }
        foreach ([...$off, ...array_keys($rules), ...$named] as $key) {
            if (! isset($this->data['faults'][$key])) {
                throw CodebookException::because('lens-fault', lens: $lens, key: $key);
            }
        }
        $faults = [];
        foreach ($this->data['faults'] as $key => $fault) {
            if (! in_array($key, $off, true)) {
                $faults[$key] = FaultRow::read(
                    $key,
                    $fault,
                    [
                        ...FaultRow::ofClub($key, $fault, $club),
                        ...(is_array($rules[$key] ?? null) ? $rules[$key] : []),
                    ],
                );
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
            $club,
            $size,
            array_keys(array_filter(
                $this->data['faults'],
                static fn (array $fault): bool => ($fault['not_of_pitches'] ?? false) === true,
            )),
            array_values(array_map(
                fn (string $key): string => $reader->text($this->data['faults'][$key], 'name'),
                $off,
            )),
            $this->drills(),
        );
    }

    /**
     * @return array<string, Drill> by key
     *
     * @throws CoreException naming the drill and the member that is wrong
     */
    public function drills(): array
    {
        if (! isset($this->data['drills'])) {
            return StandardDrills::all();
        }
        $out = [];
        foreach ($this->data['drills'] as $key => $row) {
            $out[$key] = DrillRow::read($key, $row, array_keys($this->data['lenses']));
        }

        return $out;
    }

    /**
     * The academy's own words, and those of the glossary that it explains in its own way.
     *
     * @return array<string, array{word: string, means: string}> by key
     *
     * @throws CoreException
     */
    public function words(): array
    {
        $out = [];
        foreach ($this->data['words'] ?? [] as $key => $row) {
            $r = new DocumentReader('word', $key);
            $out[$key] = ['word' => $r->text($row, 'word'), 'means' => $r->text($row, 'means')];
        }

        return $out;
    }

    /**
     * @return array<string, CuePhrase> by key
     *
     * @throws CoreException
     */
    public function cues(): array
    {
        $out = [];
        foreach ($this->data['cues'] ?? StandardCues::rows() as $key => $row) {
            $out[$key] = CuePhrase::read((string) $key, $row);
        }

        return $out;
    }

    /**
     * The same with one row put in the place of what it was, or behind the others.
     *
     * @param  'faults'|'lenses'|'drills'|'words'|'cues'  $part
     * @param  array<mixed>|null  $row  null: it is taken out
     *
     * @throws CoreException where the whole would not stand
     */
    public function with(string $part, string $key, ?array $row): self
    {
        $data = [...$this->whole()];
        $rows = $data[$part];
        if ($row === null) {
            unset($rows[$key]);
        } else {
            $rows[$key] = $row;
        }

        return self::fromArray([...$data, $part => $rows]);
    }

    /** @throws CoreException for what is no version */
    public function versioned(string $version): self
    {
        return self::fromArray([...$this->data, 'version' => $version]);
    }

    /**
     * With every part in it, whether or not the document held it: what an editor begins with.
     *
     * @return array{version: string, faults: Rows, lenses: Rows, disagreements?: list<array<string, mixed>>,
     *     drills: Rows, words: Rows, cues: Rows}
     */
    public function whole(): array
    {
        return [
            ...$this->data,
            'drills' => $this->data['drills'] ?? array_map(DrillRow::write(...), StandardDrills::all()),
            'words' => $this->data['words'] ?? [],
            'cues' => $this->data['cues'] ?? StandardCues::rows(),
        ];
    }

    /**
     * Where good coaches disagree about what a measure should be: a line for each side.
     *
     * @return list<array{measures: list<string>, one: string, other: string}>
     *
     * @throws CoreException
     */
    public function disagreements(): array
    {
        $out = [];
        foreach ($this->data['disagreements'] ?? [] as $i => $row) {
            $r = new DocumentReader('lens', "disagreement $i");
            $measures = $r->texts($row, 'measures');
            foreach ($measures as $key) {
                if (Measure::tryFrom($key) === null) {
                    throw CodebookException::because('no-measure', key: $key);
                }
            }
            $out[] = ['measures' => $measures, 'one' => $r->text($row, 'one'), 'other' => $r->text($row, 'other')];
        }

        return $out;
    }
}
