<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;

/**
 * Words that coaches say to students: what they tend to provoke, and what must have been recorded for anybody to claim
 * it.
 */
final readonly class CuePhrase
{
    /** @var list<string> the ways it is said, as plain() leaves them, between spaces */
    private array $plain;

    /**
     * @param  string  $key  of small letters, digits and hyphens
     * @param  list<string>  $said  ways to say it, each found as whole words in any order of case
     * @param  list<string>  $provokes  keys of faults that it tends to cause
     * @param  list<list<string>>  $claims  what shows it: any of these sets of kinds of evidence; none: it claims
     *     nothing
     * @param  string  $why  what tends to happen, or what the evidence cannot say
     * @param  string  $instead  what to say in its place
     */
    public function __construct(
        public string $key,
        public array $said,
        public array $provokes,
        public array $claims,
        public string $why,
        public string $instead,
    ) {
        $this->plain = array_map(static fn (string $way): string => ' '.self::plain($way).' ', $said);
    }

    /** The way it was said in a cue; null where it was not. */
    public function foundIn(string $cue): ?string
    {
        return $this->foundAmong(self::plain($cue));
    }

    /** @param  string  $words  of a cue, as plain() leaves them: made once for many phrases */
    public function foundAmong(string $words): ?string
    {
        foreach ($this->plain as $i => $plain) {
            if (str_contains(" $words ", $plain)) {
                return $this->said[$i];
            }
        }

        return null;
    }

    /** Whether what was shown can bear out what it claims. */
    public function isBorneOut(Shown $shown): bool
    {
        $kinds = $shown->kinds();
        foreach ($this->claims as $needs) {
            if (array_diff($needs, $kinds) === []) {
                return true;
            }
        }

        return $this->claims === [];
    }

    /**
     * @param  array<mixed>  $row
     *
     * @throws CoreException naming the phrase and the member that is wrong
     */
    public static function read(string $key, array $row): self
    {
        $r = new DocumentReader('cue', $key);
        $claims = [];
        foreach ($r->map($row, 'claims') as $needs) {
            $needs = $r->texts(['claims' => $needs], 'claims');
            if ($needs === [] || array_diff($needs, Shown::KINDS) !== []) {
                throw CodebookException::because(
                    'cue-needs',
                    key: $key,
                    needs: implode(', ', $needs),
                    kinds: implode(', ', Shown::KINDS),
                );
            }
            $claims[] = $needs;
        }
        $said = array_values(
            array_filter($r->texts($row, 'said'), static fn (string $s): bool => self::plain($s) !== ''),
        );
        $provokes = $r->texts($row, 'provokes');
        if ($said === [] || ($provokes === [] && $claims === [])) {
            throw $r->refuse('cue-empty', 'said');
        }

        return new self($key, $said, $provokes, $claims, $r->text($row, 'why'), $r->optionalText($row, 'instead'));
    }

    /** @return array<string, mixed> as a codebook document holds it */
    public function write(): array
    {
        return [
            'said' => $this->said,
            'provokes' => $this->provokes,
            'claims' => $this->claims,
            'why' => $this->why,
            'instead' => $this->instead,
        ];
    }

    /** Small letters and digits, single spaces between words. */
    public static function plain(string $words): string
    {
        return trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($words)));
    }
}
