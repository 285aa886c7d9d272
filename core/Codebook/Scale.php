<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Measure;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;

/**
 * How thresholds and bands are scaled for one swing: times by how long it took back and down, forces by its club and
 * its size. A swing as long as usual, full and with a wood is scaled by nothing.
 */
final readonly class Scale
{
    /** Usual durations, s: within them nothing is scaled, beyond them by the duration over the nearer end. */
    private const BACK = [0.7, 1.0];

    private const DOWN = [0.20, 0.30];

    private const LEAST = 0.6;

    private const MOST = 1.6;

    private const CLUBS = ['wedge' => 0.7, 'iron' => 0.9, 'wood' => 1.0];

    private const SIZES = ['full' => 1.0, 'three-quarter' => 0.8, 'half' => 0.55, 'short' => 0.55];

    /** A clause in ms counts where its station is known so well, s. */
    private const KNOWN = 0.020;

    /** The station from which, or to which, a measure in ms counts. */
    private const ANCHOR = [
        'recentre_lead' => Station::Top,
        'unload_at' => Station::Top,
        'replant_at' => Station::Top,
        'heel_toe_trail_at' => Station::DownswingArm,
        'heel_toe_lead_at' => Station::DownswingArm,
        'rise_at' => Station::Impact,
        'dip_at' => Station::Impact,
        'side_push_at' => Station::Impact,
        'twist_at' => Station::Impact,
        'lead_peak_at' => Station::Impact,
        'shift_rate_at' => Station::Impact,
        'trail_heel_lift_at' => Station::Impact,
    ];

    /** Those of them whose positive values count before the top. */
    private const BEFORE_TOP = ['recentre_lead', 'unload_at'];

    /**
     * @param  float  $back  what times before the top are multiplied by
     * @param  float  $down  what times after it are multiplied by
     * @param  float  $force  what forces are multiplied by, beside the rise
     * @param  float  $rise  what the part of the rise above the weight is multiplied by
     * @param  bool  $isTempoKnown  false: no time is scaled, and what rests on one leans at most
     * @param  array<string, float>  $known  uncertainties of the stations, s, by code
     */
    private function __construct(
        public float $back = 1.0,
        public float $down = 1.0,
        public float $force = 1.0,
        public float $rise = 1.0,
        public bool $isTempoKnown = true,
        private ?array $known = null,
    ) {
    }

    /** Nothing is scaled, and everything counts as known. */
    public static function none(): self
    {
        return new self;
    }

    /**
     * Nothing is scaled; clauses about times that count from any station but these are left out.
     *
     * @param  list<Station>  $known
     */
    public static function knowing(array $known): self
    {
        return new self(known: array_fill_keys(array_map(static fn (Station $s): string => $s->value, $known), 0.0));
    }

    /** The station whose time must be known well for a clause about a measure to be asked; null where none must. */
    public static function anchor(Measure $measure): ?Station
    {
        return self::ANCHOR[$measure->value] ?? null;
    }

    public static function of(?StationTimes $stations, ?ClubGroup $club, ?SwingSize $size): self
    {
        $bySize = self::SIZES[($size ?? SwingSize::Full)->value];
        $force = self::CLUBS[($club ?? ClubGroup::Wood)->value] * $bySize;
        if ($stations === null) {
            return new self(force: $force, rise: $bySize);
        }
        $known = array_map(static fn (StationTime $t): float => $t->uncertainty, $stations->all());
        [$ad, $tp, $im] = array_map($stations->get(...), [Station::Address, Station::Top, Station::Impact]);
        $isSeen = static fn (?StationTime $t): bool => $t !== null && $t->source !== StationSource::Trace;
        if ($tp === null || $im === null || ! $isSeen($tp) || ! $isSeen($im)) {
            return new self(1.0, 1.0, $force, $bySize, false, $known);
        }

        return new self(
            $ad === null || ! $isSeen($ad) ? 1.0 : self::factor($tp->t - $ad->t, self::BACK),
            self::factor($im->t - $tp->t, self::DOWN),
            $force,
            $bySize,
            true,
            $known,
        );
    }

    /** @param  array{float, float}  $usual */
    private static function factor(float $seconds, array $usual): float
    {
        $factor = $seconds < $usual[0] ? $seconds / $usual[0] : max(1.0, $seconds / $usual[1]);

        return max(self::LEAST, min(self::MOST, $factor));
    }

    /** A threshold of a measure, or an end of a band of it, for this swing. */
    public function threshold(Measure $measure, float $value): float
    {
        return match (true) {
            $measure->unit() === 'ms' => $value * (
                $value > 0.0 && in_array($measure->value, self::BEFORE_TOP, true) ? $this->back : $this->down
            ),
            $measure === Measure::Rise => 100.0 + ($value - 100.0) * $this->rise,
            $measure->unit() === '%BW' && $measure !== Measure::Dip => $value * $this->force,
            default => $value,
        };
    }

    /** Whether a clause about a measure may be asked beside others: a time only where its station is known well. */
    public function mayAsk(Measure $measure): bool
    {
        $anchor = self::anchor($measure);

        return $anchor === null || $this->known === null || ($this->known[$anchor->value] ?? INF) <= self::KNOWN;
    }
}
