<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Models\Casts\Cell;
use App\Models\NormSnapshot;
use App\Shelf\AcademyNorms;
use Core\Measurement\Norms;
use Illuminate\Support\Facades\DB;

/** Takes a snapshot of how the three pushes are distributed over all that is measured today. */
final readonly class TakeNorms
{
    /** The measures that are judged against the academy's own distribution. */
    private const OF = ['side_push', 'twist', 'rise'];

    public function __construct(private AcademyNorms $norms)
    {
    }

    public function __invoke(): NormSnapshot
    {
        $values = [];
        foreach (self::OF as $key) {
            $values[$key] = array_values(
                DB::table('measurement_sets')
                    ->join('recordings', 'recordings.id', '=', 'measurement_sets.recording_id')
                    ->whereNull('recordings.erased_at')
                    ->whereRaw("jsonb_typeof(measurements->'$key'->'value') = 'number'")
                    ->orderBy('recordings.id')
                    ->selectRaw("(measurements->'$key'->>'value')::float8 as v")
                    ->pluck('v')
                    ->map(static fn (mixed $v): float => Cell::float($v))
                    ->all(),
            );
        }
        $this->norms->forget();

        return NormSnapshot::query()->create([
            'taken_at' => now(),
            'recordings' => max(0, ...array_map(count(...), array_values($values))),
            'norms' => Norms::from($values)->toArray(),
        ]);
    }
}
