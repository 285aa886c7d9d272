<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Round;
use App\Models\RoundResult;
use App\Queries\ArmComparison;
use App\Queries\Codebooks;
use App\Queries\RoundRatings;
use Core\Agreement\Study;
use Core\Version;

/**
 * Measures a staff round: agreement among its members and with the frozen key. Kept with the core's version and a
 * checksum of what went in, and made anew only when either changes.
 */
final readonly class ComputeResult
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    public function __invoke(Round $round): RoundResult
    {
        $ratings = RoundRatings::of($round, $this->codebooks);
        $kept = $round->result()->first();
        if ($kept !== null && $kept->core_version === Version::CURRENT && $kept->inputs_checksum === $ratings->checksum && isset($kept->results['arms'])) {
            return $kept;
        }
        $options = RoundRatings::options();
        [$said, $scored] = [$ratings->said(), $ratings->scored()];
        $against = $map = [];
        if (! $scored->isEmpty()) {
            $study = new Study($scored, $options);
            $against = $study->againstKey($scored->items());
            foreach ($scored->items() as $fault) {
                foreach ($study->keyTables([$fault]) as $rater => $table) {
                    $map[$rater][$fault] = $table->cells();
                }
            }
        }

        return RoundResult::query()->updateOrCreate(['round_id' => $round->id], [
            'core_version' => Version::CURRENT,
            'inputs_checksum' => $ratings->checksum,
            'results' => [
                'study' => $said->isEmpty() ? ['items' => [], 'pooled' => null] : (new Study($said, $options))->result(),
                'against_key' => $against,
                'map' => $map,
                'arms' => ArmComparison::of($round, $ratings),
                'left_out' => $ratings->left,
                'cases' => $ratings->cases,
                'unsupported' => $ratings->unsupported,
                'cannot_tell' => $ratings->cannotTell,
                'key_version' => $round->keyVersion?->number,
                'bootstrap' => $options->bootstrap,
                'seed' => $options->seed,
            ],
        ]);
    }
}
