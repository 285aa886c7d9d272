<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\DraftForm;
use Core\Codebook\ClubGroup;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Lens;

/** A lens: what it teaches, the faults that do not count under it, and its bands; its rules stand with the faults. */
final class LensForm extends DraftForm
{
    private const ENDS = ['low' => ['nullable', 'numeric'], 'high' => ['nullable', 'numeric']];

    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'says' => self::NEEDED,
            'version' => ['required', 'string', 'max:20'],
            ...array_fill_keys(Lens::FOOTWORK, self::TEXT),
            ...self::ticked('off'),
            'bands' => ['nullable', 'array', 'max:150'],
            'bands.*.low' => self::ENDS['low'],
            'bands.*.high' => self::ENDS['high'],
            'by_club' => ['nullable', 'array'],
            'by_club.*' => ['array', 'max:150'],
            'by_club.*.*.low' => self::ENDS['low'],
            'by_club.*.*.high' => self::ENDS['high'],
            'new_band.measure' => ['nullable', 'string', 'max:40'],
            'new_band.club' => ['nullable', 'string', 'max:20'],
            'new_band.low' => ['required_with:new_band.measure', ...self::ENDS['low']],
            'new_band.high' => ['required_with:new_band.measure', ...self::ENDS['high']],
        ];
    }

    public function onto(CodebookDocument $document, string $key): CodebookDocument
    {
        $row = $this->worded(self::row($document, 'lenses', $key), ['name', 'says', 'version'], Lens::FOOTWORK);
        $row['off'] = $this->ticks('off', $row['off'] ?? []);
        $row['bands'] = self::bands($this->validated('bands'));
        $byClub = $this->validated('by_club');
        $row['by_club'] = array_map(self::bands(...), is_array($byClub) ? $byClub : []);
        $new = (array) $this->validated('new_band');
        if (is_string($new['measure'] ?? null) && $new['measure'] !== '') {
            $band = [self::number($new['low'] ?? null), self::number($new['high'] ?? null)];
            $club = ClubGroup::tryFrom(is_string($new['club'] ?? null) ? $new['club'] : '');
            if ($club === null) {
                $row['bands'][$new['measure']] = $band;
            } else {
                $row['by_club'][$club->value][$new['measure']] = $band;
            }
        }
        $row['by_club'] = array_filter($row['by_club'], static fn (array $of): bool => $of !== []);

        return $document->with('lenses', $key, $row);
    }

    /**
     * @return array<string, array{int|float|null, int|float|null}> those with an end given: one alone is refused by
     *     name
     */
    private static function bands(mixed $sent): array
    {
        $out = [];
        foreach (is_array($sent) ? $sent : [] as $name => $ends) {
            $ends = [self::number(((array) $ends)['low'] ?? null), self::number(((array) $ends)['high'] ?? null)];
            if ($ends !== [null, null]) {
                $out[(string) $name] = $ends;
            }
        }

        return $out;
    }

    /** Whole numbers stay whole, so that what was not changed is no change. */
    private static function number(mixed $sent): int|float|null
    {
        if (! is_numeric($sent)) {
            return null;
        }
        $value = (float) $sent;

        return floor($value) === $value && abs($value) < 1e9 ? (int) $value : $value;
    }
}
