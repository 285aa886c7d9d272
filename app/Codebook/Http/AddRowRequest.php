<?php

declare(strict_types=1);

namespace App\Codebook\Http;

use App\Exceptions\ActionException;
use Core\Codebook\CodebookDocument;
use Core\CoreException;
use Illuminate\Foundation\Http\FormRequest;

/** A new row begins as a copy of one there is, under a key of its own; a word begins empty. */
final class AddRowRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'key' => ['required', 'string', 'regex:/^[a-z][a-z0-9-]{1,39}$/'],
            'copy' => ['nullable', 'string', 'max:40'],
        ];
    }

    public function key(): string
    {
        return $this->string('key')->value();
    }

    /**
     * @param  'faults'|'lenses'|'drills'|'words'|'cues'  $part
     * @param  array<string, array{word: string, means: string}>  $glossary  as shipped, for a word that is explained
     *     anew
     *
     * @throws CoreException where the whole would not stand
     * @throws ActionException where the key is taken, or there is nothing to copy
     */
    public function onto(CodebookDocument $document, string $part, array $glossary): CodebookDocument
    {
        $rows = $document->whole()[$part];
        if (isset($rows[$this->key()])) {
            throw ActionException::because('refusals.codebook.row-there', ['key' => $this->key()]);
        }
        if ($part === 'words') {
            return $document->with('words', $this->key(), $glossary[$this->key()] ?? [
                'word' => str_replace('-', ' ', $this->key()),
                'means' => (string) __('draft.means-nothing-yet'),
            ]);
        }
        $row = $rows[$this->string('copy')->value()]
            ?? throw ActionException::because('refusals.codebook.no-such-row');
        $name = str_replace('-', ' ', $this->key());

        return $document->with($part, $this->key(), match ($part) {
            'cues' => [...$row, 'said' => [$name]],
            default => [...$row, 'name' => $name],
        });
    }
}
