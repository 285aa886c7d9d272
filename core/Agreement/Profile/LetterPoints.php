<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Confidence;

/**
 * What to write to one reader about a round: what is seen well by the lower end of its interval, never by the estimate;
 * what to look at next by how many calls it would set right; and of what nothing can be said yet.
 */
final readonly class LetterPoints
{
    /** Of a fault that was there less often nothing is said either way. */
    public const THERE = 3;

    private const WELL = 3;

    private const NEXT = 2;

    private const CASES = 3;

    /** Well is what is seen in half of its cases at least, as far as the interval goes. */
    private const LOW = 0.5;

    /**
     * @param  list<array{item: string, seen: int, there: int, low: float}>  $well
     * @param  list<array{item: string, missed: int, over: int, calls: list<ScoredCall>}>  $next  calls to look at
     *     again, the surest first
     * @param  list<string>  $unsaid  items that were there too seldom
     */
    private function __construct(public array $well, public array $next, public array $unsaid)
    {
    }

    public static function of(RaterProfile $profile, Confidence $confidence = new Confidence): self
    {
        $well = $next = $unsaid = [];
        foreach ($profile->byItem() as $item => [$tp, $fn, $fp, $tn]) {
            if ($tp + $fn < self::THERE) {
                $unsaid[] = $item;
            } else {
                $low = $profile->figures($confidence, $item)['sensitivity']->low;
                if ($low !== null && $low >= self::LOW) {
                    $well[] = ['item' => $item, 'seen' => $tp, 'there' => $tp + $fn, 'low' => $low];
                }
            }
            if ($fn + $fp >= 2) {
                $next[] = [
                    'item' => $item,
                    'missed' => $fn,
                    'over' => $fp,
                    'calls' => self::wrong($profile, $item),
                ];
            }
        }
        usort($well, static fn (array $a, array $b): int => [$b['low'], $a['item']] <=> [$a['low'], $b['item']]);
        usort($next, static fn (array $a, array $b): int => [$b['missed'] + $b['over'], $a['item']]
            <=> [$a['missed'] + $a['over'], $b['item']]);
        sort($unsaid, SORT_STRING);

        return new self(array_slice($well, 0, self::WELL), array_slice($next, 0, self::NEXT), $unsaid);
    }

    /** @return list<ScoredCall> */
    private static function wrong(RaterProfile $profile, string $item): array
    {
        $wrong = array_values(array_filter(
            $profile->calls,
            static fn (ScoredCall $c): bool => $c->item === $item && ! $c->isRight(),
        ));
        usort($wrong, static fn (ScoredCall $a, ScoredCall $b): int => [$b->confidence ?? 0.0, $a->case]
            <=> [$a->confidence ?? 0.0, $b->case]);

        return array_slice($wrong, 0, self::CASES);
    }
}
