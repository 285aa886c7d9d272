<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Models\Film;
use App\Models\Recording;
use Core\Codebook\SwingSize;
use Core\Reading\BallFlight;
use Core\Reading\SwingKind;
use Core\Reading\Turf;

/** The form in which what is known of a swing is set right. */
final readonly class FactsPage
{
    /** @return array<string, mixed> */
    public function of(Recording $recording): array
    {
        $recording->loadMissing(['golfer', 'films']);
        $flight = $recording->flight();

        return [
            'recording' => $recording,
            'name' => "{$recording->golfer->pseudonym}, $recording->club",
            'flight' => $flight?->toArray() ?? [],
            'cameras' => array_values($recording->films->map(static fn (Film $f): array => [
                'view' => $f->view,
                'name' => ucfirst((string) __("views.$f->view")),
                'height' => $f->camera_height_cm,
                'tilt' => $f->camera_tilt_deg,
            ])->all()),
            ...self::choices(),
        ];
    }

    /** @return array<string, array<array-key, string>> */
    public static function choices(): array
    {
        return [
            'kinds' => self::words('kinds', array_column(SwingKind::cases(), 'value')),
            'sizes' => self::words('sizes', array_column(SwingSize::cases(), 'value')),
            'balls' => self::words('balls', ['1', '0']),
            'heights' => self::words('heights', BallFlight::HEIGHTS),
            'strikes' => self::words('strikes', BallFlight::STRIKES),
            'turfs' => self::words('turfs', array_column(Turf::cases(), 'value')),
        ];
    }

    /**
     * @param  list<string>  $codes
     * @return array<array-key, string>
     */
    private static function words(string $of, array $codes): array
    {
        $out = [];
        foreach ($codes as $code) {
            $out[$code] = (string) __("facts.$of.$code");
        }

        return $out;
    }
}
