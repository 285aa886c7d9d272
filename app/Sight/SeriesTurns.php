<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\Casts\Cell;
use App\Models\Recording;

/** With which swing of its series a recording is, among those somebody may see: what is hidden leaves no gap. */
final class SeriesTurns
{
    /**
     * @param  iterable<Recording>  $recordings
     * @return array<int, int> from 1, by recording; none for those of no series
     */
    public static function among(iterable $recordings, Onlooker $onlooker): array
    {
        $golfers = [];
        foreach ($recordings as $recording) {
            $golfers[$recording->golfer_id] = true;
        }
        $series = $onlooker
            ->recordings()
            ->whereIn('golfer_id', array_keys($golfers))
            ->whereNotNull('series')
            ->orderBy('id')
            ->toBase()
            ->get(['id', 'golfer_id', 'series']);
        $count = $out = [];
        foreach ($series as $row) {
            $of = Cell::int($row->golfer_id).'|'.Cell::text($row->series);
            $out[Cell::int($row->id)] = $count[$of] = ($count[$of] ?? 0) + 1;
        }

        return $out;
    }
}
