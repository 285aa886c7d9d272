<?php

declare(strict_types=1);

namespace Core\Codebook;

/** What is to be said against a cue: its length, what it tends to provoke, what the evidence cannot bear out. */
final readonly class CueCheck
{
    /** A student keeps no more words than these, and hardly fewer. */
    public const WORDS = [2, 8];

    /**
     * @param  array<string, string>  $provokes  the words found in it, by phrase
     * @param  array<string, string>  $unsupported  likewise, of what was shown and cannot bear them out
     */
    private function __construct(public int $words, public array $provokes, public array $unsupported)
    {
    }

    /**
     * @param  array<string, CuePhrase>  $phrases
     * @param  Shown|null  $shown  what the person had before them; null: claims are not weighed
     */
    public static function of(string $cue, array $phrases, ?Shown $shown): self
    {
        $provokes = $unsupported = [];
        $words = CuePhrase::plain($cue);
        foreach ($phrases as $key => $phrase) {
            $found = $phrase->foundAmong($words);
            if ($found === null) {
                continue;
            }
            if ($phrase->provokes !== []) {
                $provokes[$key] = $found;
            }
            if ($shown !== null && ! $phrase->isBorneOut($shown)) {
                $unsupported[$key] = $found;
            }
        }

        return new self(self::wordsIn($cue), $provokes, $unsupported);
    }

    public function isTooLong(): bool
    {
        return $this->words > self::WORDS[1];
    }

    public static function wordsIn(string $cue): int
    {
        return count(preg_split('/\s+/u', trim($cue), -1, PREG_SPLIT_NO_EMPTY) ?: []);
    }
}
