<?php

declare(strict_types=1);

namespace App\Words;

use App\Models\Academy;
use App\Models\Consent;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\SittingCase;
use Core\Codebook\Codebook;
use Core\Codebook\Shown;
use Core\Consensus\Grade;
use Core\Measurement\Measure;
use Core\Motion\Station;
use Core\Motion\View;
use Core\Number\Written;
use Core\Reading\BallFlight;
use Core\Reading\Outside;
use Core\Reading\Reading;
use Core\Trace\DeviceClass;

/** What the things that core knows by their codes are called: lines of lang/. */
final class Term
{
    /** A measure's name, at a station where it is taken at several. */
    public static function measure(Measure $measure, ?string $station = null): string
    {
        $name = self::line("measures.names.$measure->value");

        return $station === null
            ? $name
            : self::line('measures.at', ['measure' => $name, 'station' => $station]);
    }

    public static function definition(Measure $measure): string
    {
        return self::line("measures.definitions.$measure->value");
    }

    public static function station(Station $station): string
    {
        return self::line("stations.names.$station->value");
    }

    public static function stationDefinition(Station $station): string
    {
        return self::line("stations.definitions.$station->value");
    }

    public static function device(DeviceClass $device): string
    {
        return self::line("devices.$device->value");
    }

    /** Where body points come from. */
    public static function view(View $view): string
    {
        return self::line("views.points.$view->value");
    }

    public static function grade(Grade $grade): string
    {
        return self::line("grades.says.$grade->value");
    }

    /** What is shown of a case; by turns where its readers are shown it differently. */
    public static function shownOf(SittingCase $case): string
    {
        return $case->arm_id === null ? self::line('round.crossed') : self::shown($case->shown());
    }

    /** What a reader is shown of a swing. */
    public static function shown(Shown $shown): string
    {
        $seen = array_map(
            static fn (string $kind): string => match (true) {
                $kind === 'film' => self::line('views.film'),
                View::tryFrom($kind) !== null => self::view(View::from($kind)),
                default => self::device(DeviceClass::from($kind)),
            },
            $shown->evidence(),
        );

        return match (count($seen)) {
            0 => self::line('views.nothing'),
            1 => self::line('views.only', ['one' => $seen[0]]),
            default => implode(self::line('views.and'), $seen),
        };
    }

    /** A finding that is a cause or an effect: a fault, something outside the feet, or what a sheet of before had. */
    public static function finding(string $key, Codebook $codebook, string $other = ''): string
    {
        return match (true) {
            $key === Reading::NOT_IN_THE_FEET => self::line('reading.not-in-the-feet'),
            $key === Outside::Other->value && $other !== '' => $other,
            Outside::tryFrom($key) !== null => self::line("reading.outside.$key"),
            default => $codebook->faults[$key]->name ?? $key,
        };
    }

    /** What a golfer's body is to be spared today, in a line; null where nothing is known. */
    public static function limits(Golfer $golfer): ?string
    {
        $said = [
            ...$golfer->limitsInForce->map(self::limit(...))->all(),
            ...$golfer->limits === null ? [] : [$golfer->limits],
        ];

        return $said === [] ? null : implode('; ', $said);
    }

    public static function limit(GolferLimit $limit): string
    {
        return self::line($limit->side === null ? 'limits.one' : 'limits.one-sided', [
            'side' => $limit->side === null ? '' : self::line("limits.sides.{$limit->side->value}"),
            'region' => self::line("limits.regions.{$limit->region->value}"),
            'severity' => self::line("limits.severities.{$limit->severity->value}"),
        ]);
    }

    /** What was agreed to, from when to when, by whom, and whether it was taken back. */
    public static function consent(Consent $c): string
    {
        return (string) __($c->withdrawn_at === null ? 'golfers.consent' : 'golfers.consent-withdrawn', [
            'scope' => __("golfers.scopes.{$c->scope->value}"),
            'from' => $c->given_on->format('j M Y'),
            'to' => $c->expires_on->format('j M Y'),
            'by' => $c->guardian === null ? '' : __('golfers.by-guardian', ['guardian' => $c->guardian]),
            'date' => $c->withdrawn_at?->timezone(Academy::zone())->format('j M Y, H:i') ?? '',
        ]);
    }

    public static function flight(BallFlight $flight): string
    {
        $degrees = static fn (float $angle): array => ['degrees' => Written::fixed(abs($angle), 0)];
        $low = $flight->lowPointCm;

        return self::line('flight.all', [
            'start' => self::line("flight.start.{$flight->start()}", $degrees($flight->startDeg)),
            'curve' => self::line("flight.curve.{$flight->curve()}", $degrees($flight->curveDeg)),
            'height' => self::line("flight.height.$flight->height"),
            'strike' => self::line("flight.strike.$flight->strike"),
            'low' => $low === null
                ? ''
                : self::line('flight.low-point.'.($low >= 0 ? 'ahead' : 'behind'), [
                    'cm' => Written::fixed(abs($low), 0),
                ]),
            'path' => $flight->pathDeg === null
                ? ''
                : self::line('flight.path.'.($flight->pathDeg >= 0 ? 'push' : 'pull'), $degrees($flight->pathDeg)),
            'attack' => $flight->attackDeg === null
                ? ''
                : self::line('flight.attack.'.($flight->attackDeg >= 0 ? 'up' : 'down'), $degrees($flight->attackDeg)),
            'turf' => $flight->turf === null ? '' : self::line("flight.turf.{$flight->turf->value}"),
        ]);
    }

    /** What a curve shows that a measure was read off. */
    public static function curve(string $code): string
    {
        return self::line("measures.curves.$code");
    }

    /**
     * What several codes are called, in their order.
     *
     * @param  list<string>  $codes
     * @return array<string, string> by code
     */
    public static function all(string $line, array $codes): array
    {
        $out = [];
        foreach ($codes as $code) {
            $out[$code] = self::line("$line.$code");
        }

        return $out;
    }

    /** @param  array<string, string>  $with */
    private static function line(string $key, array $with = []): string
    {
        return (string) __($key, $with);
    }
}
