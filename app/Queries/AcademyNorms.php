<?php

declare(strict_types=1);

namespace App\Queries;

use Core\Measurement\Norms;
use Illuminate\Support\Facades\DB;

/** The academy's own distribution of the three pushes, from what has been measured so far. */
final class AcademyNorms
{
    private ?Norms $norms = null;

    public function get(): Norms
    {
        if ($this->norms !== null) {
            return $this->norms;
        }
        $values = [];
        foreach (['side_push', 'twist', 'rise'] as $key) {
            $values[$key] = array_values(DB::table('measurement_sets')
                ->whereRaw("jsonb_typeof(measurements->'$key'->'value') = 'number'")
                ->selectRaw("(measurements->'$key'->>'value')::float8 as v")->pluck('v')
                ->map(static fn (mixed $v): float => (float) $v)->all());
        }

        return $this->norms = Norms::from($values);
    }
}
