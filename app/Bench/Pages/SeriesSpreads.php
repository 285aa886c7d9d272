<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Measurement\Measure;
use Core\Measurement\Measurements;
use Core\Measurement\Spread;
use Core\Motion\Station;
use Illuminate\Database\Eloquent\Collection;

/** The swings of a golfer's series, and how far its measures spread from swing to swing, cold ones set aside. */
final class SeriesSpreads
{
    public function __construct(private readonly Onlookers $onlookers)
    {
    }

    /**
     * @return Collection<int, Recording>|null null where the recording belongs to no series, or one of its swings is
     * hidden from this person: the others would tell it
     */
    public function swings(Recording $recording, User $user): ?Collection
    {
        if ($recording->series === null) {
            return null;
        }
        $swings = Recording::query()
            ->where('golfer_id', $recording->golfer_id)
            ->where('series', $recording->series)
            ->whereNull('erased_at')
            ->with('measured')
            ->orderBy('id')
            ->get();

        return $swings->every(fn (Recording $r): bool => $this->onlookers->of($user)->sees($r)) ? $swings : null;
    }

    /**
     * @param  iterable<Recording>|null  $series
     * @return array<string, Spread> by measure, or measure@STATION
     */
    public function of(?iterable $series): array
    {
        $sets = self::warm($series ?? []);
        $out = [];
        foreach (Measure::cases() as $measure) {
            $names = $measure->isByStation()
                ? array_map(static fn (Station $s): string => $s->value, Station::cases())
                : [null];
            foreach ($names as $code) {
                $spread = Spread::ofSwings($sets, $measure, $code);
                if ($spread !== null) {
                    $out[$measure->value.($code === null ? '' : "@$code")] = $spread;
                }
            }
        }

        return $out;
    }

    /**
     * @param  iterable<Recording>  $series
     * @return list<Measurements> of each
     */
    private static function warm(iterable $series): array
    {
        $out = [];
        foreach ($series as $recording) {
            if (! $recording->is_cold && $recording->measured !== null) {
                $out[] = $recording->measured->measured();
            }
        }

        return $out;
    }
}
