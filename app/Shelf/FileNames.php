<?php

declare(strict_types=1);

namespace App\Shelf;

/**
 * What a file's name says of a swing: whose it is, on which day, which one it was. Programs that record name files by
 * pseudonym, date and number in some order; what is not understood is left out, never guessed.
 */
final readonly class FileNames
{
    /** @param  array<int, string>  $golfers  pseudonyms by number */
    public function __construct(private array $golfers)
    {
    }

    /** @return array{golfer: ?int, day: ?string, place: ?int} */
    public function of(string $name): array
    {
        $stem = (string) preg_replace('/\.(csv|json|c3d)$/i', '', $name);
        $day = preg_match('/(?<!\d)(20\d\d)[-_.]?([01]\d)[-_.]?([0-3]\d)(?!\d)/', $stem, $m) === 1
            && checkdate((int) $m[2], (int) $m[3], (int) $m[1])
            ? "$m[1]-$m[2]-$m[3]"
            : null;
        $rest = $day === null ? $stem : str_replace($m[0], ' ', $stem);
        // The last number that is no part of a word.
        $place = preg_match_all('/(?<![\p{L}\d])(\d{1,3})(?![\p{L}\d])/u', $rest, $numbers) > 0
            ? (int) end($numbers[1])
            : 0;

        return ['golfer' => $this->golfer($stem), 'day' => $day, 'place' => $place >= 1
            && $place <= 500 ? $place : null];
    }

    /** The side-car of a trace has its name. */
    public static function stem(string $name): string
    {
        return mb_strtolower((string) preg_replace('/(\.meta)?\.(csv|json|c3d)$/i', '', $name));
    }

    /** The golfer whose pseudonym stands in it as a word, the longest first; none where two fit equally well. */
    private function golfer(string $stem): ?int
    {
        $said = ' '.preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($stem)).' ';
        $found = [];
        foreach ($this->golfers as $id => $pseudonym) {
            $name = trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($pseudonym)));
            if ($name !== '' && str_contains($said, " $name ")) {
                $found[mb_strlen($name)][] = $id;
            }
        }
        krsort($found);
        $best = reset($found);

        return $best !== false && count($best) === 1 ? $best[0] : null;
    }
}
