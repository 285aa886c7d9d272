<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\User;
use App\Sight\Onlookers;
use Core\Number\Written;
use Core\Planning\Forecast;

/** What a round that is being planned will be able to say, and the minutes it takes. */
final readonly class RoundForecast
{
    /** A bench's reading of one case, as instructors have them. */
    private const MINUTES = 4;

    /** Wider says little. */
    private const WIDE = 0.5;

    /** A fault that is seldom there, and one that is often. */
    private const SHARES = [0.1, 0.4];

    private const AGREED = [0.8, 0.9];

    public function __construct(private Onlookers $onlookers)
    {
    }

    /**
     * @param  list<int>  $recordings
     * @return array<string, mixed>
     */
    public function of(User $user, array $recordings, int $several, int $again, int $readers): array
    {
        $known = $this->onlookers->of($user)->readable()->whereKey($recordings)->pluck('golfer_id');
        $cases = $known->count() + $several;
        $golfers = min($cases, max(1, $known->unique()->count()));
        $minutes = self::MINUTES * ($cases + $again);

        return [
            'cases' => $cases,
            'says' => $cases === 0 || $readers === 0 ? (string) __('plan.forecast.nothing')
                : (string) __('plan.forecast.says', [
                    'cases' => trans_choice('plan.forecast.cases', $cases, ['count' => $cases]),
                    'golfers' => trans_choice('plan.forecast.golfers', $golfers, ['count' => $golfers]),
                    'readers' => trans_choice('plan.forecast.readers', $readers, ['count' => $readers]),
                ]),
            'rows' => $cases === 0 || $readers === 0 ? [] : self::rows($cases, $golfers, $readers),
            'cost' => $cases === 0 ? '' : (string) __('plan.forecast.cost', [
                'each' => $minutes,
                'all' => Written::fixed($minutes * $readers / 60.0, 1),
                'minutes' => self::MINUTES,
            ]),
        ];
    }

    /** @return list<array{share: string, agreed: string, cells: list<array{says: string, wide: bool}>}> */
    private static function rows(int $cases, int $golfers, int $readers): array
    {
        $out = [];
        foreach (self::SHARES as $share) {
            foreach (self::AGREED as $agreed) {
                $of = Forecast::of($cases, $golfers, $readers, $share, $agreed);
                $out[] = [
                    'share' => Written::fixed(100.0 * $share, 0).' %',
                    'agreed' => Written::fixed(100.0 * $agreed, 0).' %',
                    'cells' => array_map(self::cell(...), [$of->agreement, $of->finding, $of->change]),
                ];
            }
        }

        return $out;
    }

    /** @return array{says: string, wide: bool} a width of a figure that lies within 0 and 1 */
    private static function cell(?float $width): array
    {
        return [
            'says' => match (true) {
                $width === null => (string) __('figures.none'),
                $width > 1.0 => (string) __('plan.forecast.all'),
                default => Written::fixed($width, 2),
            },
            'wide' => $width === null || $width > self::WIDE,
        ];
    }
}
