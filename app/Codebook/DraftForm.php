<?php

declare(strict_types=1);

namespace App\Codebook;

use App\Exceptions\ActionException;
use Core\Codebook\CodebookDocument;
use Core\CoreException;
use Illuminate\Foundation\Http\FormRequest;

/** One row of a draft as a form sends it: what is not asked on the form stays as the row has it. */
abstract class DraftForm extends FormRequest
{
    protected const TEXT = ['nullable', 'string', 'max:600'];

    protected const NEEDED = ['required', 'string', 'max:600'];

    private const LINES = ['nullable', 'string', 'max:3000'];

    /** @return array<string, list<mixed>> */
    abstract protected function fields(): array;

    /**
     * The document with the row as it was sent.
     *
     * @throws CoreException where it would not stand
     * @throws ActionException where the row is there no longer
     */
    abstract public function onto(CodebookDocument $document, string $key): CodebookDocument;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['revision' => ['required', 'integer'], ...$this->fields()];
    }

    public function revision(): int
    {
        return $this->integer('revision');
    }

    /** @return array<string, list<mixed>> of a list of words that are ticked */
    protected static function ticked(string $name, int $most = 60): array
    {
        return [$name => ['nullable', 'array', "max:$most"], "$name.*" => ['string', 'max:60']];
    }

    /** @return array<string, list<mixed>> of a text with one thing a line */
    protected static function lined(string $name): array
    {
        return [$name => self::LINES];
    }

    /**
     * @param  'faults'|'lenses'|'drills'|'words'|'cues'  $part
     * @return array<string, mixed>
     */
    protected static function row(CodebookDocument $document, string $part, string $key): array
    {
        return $document->whole()[$part][$key] ?? throw ActionException::because('refusals.codebook.no-such-row');
    }

    protected function text(string $name): string
    {
        $value = $this->validated($name);

        return is_scalar($value) ? trim((string) $value) : '';
    }

    /** @return list<string> */
    protected function lines(string $name): array
    {
        $lines = array_map(trim(...), preg_split('/\R/u', $this->text($name)) ?: []);

        return array_values(array_filter($lines, static fn (string $line): bool => $line !== ''));
    }

    /**
     * @param  mixed  $was  the list as it was: what stays keeps its place, what is new comes last
     * @return list<string>
     */
    protected function ticks(string $name, mixed $was = []): array
    {
        $ticked = $this->validated($name);
        $ticked = array_unique(array_filter(is_array($ticked) ? $ticked : [], is_string(...)));
        $stays = array_filter(is_array($was) ? $was : [], static fn (mixed $w): bool => in_array($w, $ticked, true));

        return array_values(array_filter(array_unique([...$stays, ...$ticked]), is_string(...)));
    }

    /**
     * A row with texts of the form in it; those that are empty and may be go.
     *
     * @param  array<string, mixed>  $row
     * @param  list<string>  $needed
     * @param  list<string>  $optional
     * @return array<string, mixed>
     */
    protected function worded(array $row, array $needed, array $optional = []): array
    {
        foreach ($needed as $name) {
            $row[$name] = $this->text($name);
        }
        foreach ($optional as $name) {
            $row[$name] = $this->text($name);
            if ($row[$name] === '') {
                unset($row[$name]);
            }
        }

        return $row;
    }
}
