<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Sitting;
use App\Models\SittingResult;
use App\Queries\ArmComparison;
use App\Queries\Codebooks;
use App\Queries\RoundRatings;
use App\Works\Progress;
use Core\Agreement\Study;
use Core\Version;

/**
 * Measures a staff round: agreement among its members and with the frozen key. Kept with the core's version and a
 * checksum of what went in.
 */
final readonly class ComputeResult
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /** What is kept, made anew where it was not made by this core from what is stored now. */
    public function __invoke(Sitting $round): SittingResult
    {
        $kept = $round->result()->first();

        return $kept !== null && $this->isCurrent($round, $kept) ? $kept : $this->keep($round, $this->make($round, Progress::untold()));
    }

    /** @return array{core_version: string, inputs_checksum: string, results: array<string, mixed>} */
    public function make(Sitting $round, Progress $progress): array
    {
        $ratings = RoundRatings::of($round, $this->codebooks);
        $progress->tell(0.05);
        $options = RoundRatings::options();
        [$said, $scored] = [$ratings->said(), $ratings->scored()];
        $against = $map = [];
        if (! $scored->isEmpty()) {
            $study = new Study($scored, $options);
            $against = $study->againstKey($scored->items());
            $progress->tell(0.4);
            foreach ($scored->items() as $fault) {
                foreach ($study->keyTables([$fault]) as $rater => $table) {
                    $map[$rater][$fault] = $table->cells();
                }
            }
        }
        $arms = ArmComparison::of($round, $ratings);
        $progress->tell(0.6);

        return [
            'core_version' => Version::CURRENT,
            'inputs_checksum' => $ratings->checksum,
            'results' => [
                'study' => $said->isEmpty() ? ['items' => [], 'pooled' => null] : (new Study($said, $options))->result(),
                'against_key' => $against,
                'map' => $map,
                'arms' => $arms,
                'left_out' => $ratings->left,
                'cases' => $ratings->cases,
                'unsupported' => $ratings->unsupported,
                'cannot_tell' => $ratings->cannotTell,
                'key_version' => $round->keyVersion?->number,
                'bootstrap' => $options->bootstrap,
                'seed' => $options->seed,
            ],
        ];
    }

    /** @param  array{core_version: string, inputs_checksum: string, results: array<string, mixed>}  $made */
    public function keep(Sitting $round, array $made): SittingResult
    {
        return SittingResult::query()->updateOrCreate(['sitting_id' => $round->id], $made);
    }

    public function isCurrent(Sitting $round, ?SittingResult $kept): bool
    {
        return $kept !== null && $round->erasedAt() !== null || $kept !== null && $kept->core_version === Version::CURRENT && isset($kept->results['arms']) && $kept->inputs_checksum === RoundRatings::of($round, $this->codebooks)->checksum;
    }
}
