<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\Trace\Derived;
use Core\Trace\Trace;

/** The stillest moment of a recording: who stands there is pushed by nothing sideways and turned by nothing. */
final readonly class Standing
{
    private const LASTS_S = 0.3;

    private const STEP_S = 0.05;

    /** @param  array{int, int}  $span  first sample, and how many */
    private function __construct(public array $span)
    {
    }

    /** Null where a recording is too short to hold such a moment. Several checks ask for it: it is found once. */
    public static function of(Trace $trace): ?self
    {
        return Derived::of($trace, 'standing', static fn (): ?self => self::found($trace));
    }

    private static function found(Trace $trace): ?self
    {
        $names = array_values(array_filter(
            array_keys($trace->channels),
            static fn (string $n): bool => preg_match('/(_n|_pct)$/', $n) === 1 && ! str_contains($n, 'toe_pct'),
        ));
        $long = (int) round(self::LASTS_S * $trace->rateHz);
        $step = max(1, (int) round(self::STEP_S * $trace->rateHz));
        if ($trace->samples() < $long || $long < 2 || $names === []) {
            return null;
        }
        // Means of short pieces, so that noise does not hide which moment is the stillest.
        $pieces = [];
        foreach ($names as $name) {
            $pieces[] = self::means($trace->channels[$name], $step);
        }
        $wide = max(2, (int) ceil((float) $long / (float) $step));
        $best = [0, INF];
        for ($i = 0, $last = count($pieces[0]) - $wide; $i <= $last; $i++) {
            $spread = 0.0;
            foreach ($pieces as $of) {
                $spread += self::wander(array_slice($of, $i, $wide));
            }
            if ($spread < $best[1]) {
                $best = [$i, $spread];
            }
        }
        $from = min($best[0] * $step, $trace->samples() - $long);

        return is_finite($best[1]) ? new self([$from, $long]) : null;
    }

    /**
     * @param  list<float>  $values  of a channel, or of a sum of some
     * @return array{float, float} mean over that moment, and half of how far it wanders meanwhile
     */
    public function mean(array $values): array
    {
        $of = array_slice($values, ...$this->span);

        return [
            array_sum($of) / max(1, count($of)),
            self::wander(self::means($of, max(1, intdiv(count($of), 10)))) / 2.0,
        ];
    }

    /**
     * @param  list<float>  $values
     * @return list<float> of that moment
     */
    public function samples(array $values): array
    {
        return array_slice($values, ...$this->span);
    }

    /**
     * @param  list<float>  $values
     * @param  positive-int  $long
     * @return list<float> means of pieces of so many
     */
    private static function means(array $values, int $long): array
    {
        return array_map(
            static fn (array $part): float => array_sum($part) / count($part),
            array_chunk($values, $long),
        );
    }

    /**
     * How far values lie apart.
     *
     * @param  list<float>  $values
     */
    private static function wander(array $values): float
    {
        return $values === [] ? 0.0 : max($values) - min($values);
    }
}
