<?php

declare(strict_types=1);

namespace App\Practice\Actions;

use App\Codebook\Codebooks;
use App\Models\ContrastSet;
use App\Models\MadeSwing;
use App\Works\Progress;
use Core\Codebook\SwingBasis;
use Core\Simulation\MadeSwing as Spec;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Makes the swings of a contrast set that are not at hand yet. Safe to run twice, and side by side. */
final readonly class MakeContrast
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    public function carryOut(ContrastSet $set, Progress $progress): void
    {
        $specs = array_values($set->spec()->swings());
        $made = [];
        foreach ($specs as $place => $spec) {
            $progress->tell($place / count($specs));
            $made[] = $this->made($spec);
        }
        DB::transaction(static function () use ($set, $made, $progress): void {
            $progress->claim();
            DB::table('contrast_swings')->where('contrast_set_id', $set->id)->delete();
            DB::table('contrast_swings')->insert(array_map(static fn (int $id, int $place): array => [
                'contrast_set_id' => $set->id,
                'place' => $place,
                'made_swing_id' => $id,
            ], $made, array_keys($made)));
            $set->update(['made_at' => Carbon::now()]);
        });
    }

    private function made(Spec $spec): int
    {
        $key = $spec->key();
        $id = MadeSwing::query()->where('key', $key)->value('id');
        if (is_int($id)) {
            return $id;
        }

        // Who was made meanwhile by another run is the same swing.
        return MadeSwing::query()->createOrFirst(['key' => $key], MadeSwing::row(
            $spec,
            $this->codebooks->document()->version(),
            fn (SwingBasis $truly): array => $this->settled($spec, $truly),
        ))->id;
    }

    /** @return array<string, array<string, bool>> by lens: the faults that are there, and those that are not */
    private function settled(Spec $spec, SwingBasis $truly): array
    {
        $out = [];
        foreach (array_keys($this->codebooks->document()->lenses()) as $lens) {
            $out[$lens] = $spec->settles($truly, $this->codebooks->current($lens, $spec->club()));
        }

        return $out;
    }
}
