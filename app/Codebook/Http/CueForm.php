<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\DraftForm;
use Core\Codebook\CodebookDocument;

/** A phrase coaches say: the ways it is said, what it provokes, what it claims, and what to say instead. */
final class CueForm extends DraftForm
{
    protected function fields(): array
    {
        return [
            'said' => ['required', 'string', 'max:2000'],
            ...self::ticked('provokes'),
            ...self::ticked('claims', 20),
            'why' => self::NEEDED,
            'instead' => self::TEXT,
        ];
    }

    public function onto(CodebookDocument $document, string $key): CodebookDocument
    {
        $row = self::row($document, 'cues', $key);

        return $document->with('cues', $key, [
            'said' => $this->lines('said'),
            'provokes' => $this->ticks('provokes', $row['provokes'] ?? []),
            'claims' => array_map(
                static fn (string $needs): array => explode('+', $needs),
                $this->ticks('claims', array_map(
                    static fn (mixed $needs): string => implode('+', array_filter((array) $needs, is_string(...))),
                    array_values((array) ($row['claims'] ?? [])),
                )),
            ),
            'why' => $this->text('why'),
            'instead' => $this->text('instead'),
        ]);
    }
}
