<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;

/** Rows taken out of a document with all that speaks of them, or put back as another document has them. */
final class DocumentParts
{
    /**
     * @param  'faults'|'lenses'|'drills'|'words'|'cues'  $part
     *
     * @throws CoreException where the rest would not stand, or the lens everything stands on was to go
     */
    public static function without(CodebookDocument $document, string $part, string $key): CodebookDocument
    {
        if ($part === 'lenses' && $key === StandardLenses::DEFAULT) {
            throw CodebookException::because('default-lens', key: $key);
        }
        $data = $document->whole();
        unset($data[$part][$key]);
        foreach ($part === 'faults' ? $data['lenses'] : [] as $lens => $row) {
            $row['off'] = self::texts($row['off'] ?? [], $key);
            foreach (['rules', 'rules_by_club'] as $member) {
                if (isset($row[$member])) {
                    $row[$member] = self::forgotten($row[$member], $key);
                }
            }
            $data['lenses'][$lens] = $row;
        }
        foreach ($part === 'faults' ? $data['cues'] : [] as $cue => $row) {
            $data['cues'][$cue]['provokes'] = self::texts($row['provokes'] ?? [], $key);
            // A phrase against which nothing is left to say.
            if ($data['cues'][$cue]['provokes'] === [] && ($row['claims'] ?? []) === []) {
                unset($data['cues'][$cue]);
            }
        }
        foreach ($part === 'drills' ? $data['faults'] : [] as $fault => $row) {
            foreach (['helps', 'harms'] as $member) {
                $data['faults'][$fault][$member] = self::texts($row[$member] ?? [], $key);
            }
        }
        foreach ($part === 'lenses' ? $data['drills'] : [] as $drill => $row) {
            if (is_array($row['plan'] ?? null) && is_array($row['plan']['lenses'] ?? null)) {
                unset($row['plan']['lenses'][$key]);
                $data['drills'][$drill] = $row;
            }
        }

        return CodebookDocument::fromArray($data);
    }

    /**
     * A row as another document has it, with a fault's rules under every lens; taken out where that has none.
     *
     * @param  'faults'|'lenses'|'drills'|'words'|'cues'  $part
     *
     * @throws CoreException where the rest would not stand with it
     */
    public static function back(
        CodebookDocument $document,
        CodebookDocument $to,
        string $part,
        string $key,
    ): CodebookDocument {
        $row = $to->whole()[$part][$key] ?? null;
        if ($row === null) {
            return self::without($document, $part, $key);
        }
        if ($part !== 'faults') {
            return $document->with($part, $key, $row);
        }
        $shared = array_intersect_key($to->lenses(), $document->lenses());
        $rules = array_filter(
            FaultRules::of($to, $key),
            static fn (string $place): bool => ! str_starts_with($place, 'lens/')
                || isset($shared[explode('/', $place)[1]]),
            ARRAY_FILTER_USE_KEY,
        );

        return FaultRules::put($document->with($part, $key, $row), $key, $rules);
    }

    /** @return list<string> */
    private static function texts(mixed $texts, string $without): array
    {
        return array_values(array_filter(
            is_array($texts) ? $texts : [],
            static fn (mixed $t): bool => is_string($t) && $t !== $without,
        ));
    }

    /** Without what stands under a key, at any depth. */
    private static function forgotten(mixed $in, string $key): mixed
    {
        if (! is_array($in)) {
            return $in;
        }
        unset($in[$key]);

        return array_is_list($in) ? $in : array_map(
            static fn (mixed $inner): mixed => is_array($inner) && ! array_is_list($inner)
                ? array_diff_key($inner, [$key => 1])
                : $inner,
            $in,
        );
    }
}
