<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Codebook\DraftForm;
use Core\Codebook\CodebookDocument;

/** A word of the glossary as this academy explains it. */
final class WordForm extends DraftForm
{
    protected function fields(): array
    {
        return ['word' => ['required', 'string', 'max:60'], 'means' => self::NEEDED];
    }

    public function onto(CodebookDocument $document, string $key): CodebookDocument
    {
        return $document->with('words', $key, ['word' => $this->text('word'), 'means' => $this->text('means')]);
    }
}
