<?php

declare(strict_types=1);

namespace App\Agreement\Actions;

use App\Agreement\ArmComparison;
use App\Agreement\RoundFigures;
use App\Agreement\RoundInputs;
use App\Agreement\RoundRatings;
use App\Codebook\Codebooks;
use App\Models\Sitting;
use App\Models\SittingResult;
use App\Works\Progress;
use Core\Agreement\Study\RoundResult;
use Core\Agreement\Study\Study;
use Core\Format\Json\RoundJson;
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

        return $kept !== null && $this->isCurrent($round, $kept)
            ? $kept
            : $this->keep($round, $this->make($round, Progress::untold()));
    }

    public function make(Sitting $round, Progress $progress): RoundFigures
    {
        $ratings = RoundRatings::ofRound($round, $this->codebooks);
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
                    $map[(string) $rater][$fault] = $table->cells();
                }
            }
        }
        [$arms, $differences] = ArmComparison::fromRatings($ratings);
        $progress->tell(0.6);

        return new RoundFigures(
            $ratings->checksum,
            new RoundResult(
                $said->isEmpty() ? null : (new Study($said, $options))->result(),
                $against,
                $map,
                $arms,
                $differences,
                $ratings->left,
                $ratings->cases,
                $ratings->unsupported,
                $ratings->cannotTell,
                $round->keyVersion?->number,
                $options->bootstrap,
                $options->seed,
            ),
        );
    }

    public function keep(Sitting $round, RoundFigures $made): SittingResult
    {
        return SittingResult::query()->updateOrCreate(
            ['sitting_id' => $round->id],
            [
                'core_version' => Version::CURRENT,
                'inputs_checksum' => $made->inputs,
                'results' => RoundJson::write($made->result),
            ],
        );
    }

    /**
     * Whether what is kept was made by this core from what is stored now. What was made from inputs erased since
     * stands.
     */
    public function isCurrent(Sitting $round, ?SittingResult $kept): bool
    {
        return $kept !== null &&
            ($round->erasedAt() !== null ||
                ($kept->core_version === Version::CURRENT &&
                    $kept->isOfThisFormat() &&
                    $kept->inputs_checksum === RoundInputs::ofRound($round, $this->codebooks)->checksum));
    }
}
