<?php

declare(strict_types=1);

namespace App\Agreement\Actions;

use App\Agreement\ArmComparison;
use App\Agreement\ChangeSince;
use App\Agreement\RoundFigures;
use App\Agreement\RoundInputs;
use App\Agreement\RoundRatings;
use App\Agreement\RoundTalk;
use App\Agreement\RoundTimes;
use App\Codebook\Codebooks;
use App\Models\Enums\FigurePart;
use App\Models\Sitting;
use App\Models\SittingResult;
use App\Works\Progress;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\DawidSkene;
use Core\Agreement\Profile\LatentRates;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\ItemResult;
use Core\Agreement\Study\PersonResult;
use Core\Agreement\Study\RoundResult;
use Core\Agreement\Study\Study;
use Core\Format\Json\PersonJson;
use Core\Format\Json\RoundJson;
use Core\Format\Json\StudyJson;
use Core\Version;
use Illuminate\Support\Facades\DB;

/**
 * Measures a staff round: agreement among its members and with the frozen key, and what it tells of each. Kept in the
 * parts in which pages read it, with the core's version and a checksum of what went in.
 */
final readonly class ComputeResult
{
    private const STARTS = 5;

    public function __construct(private Codebooks $codebooks, private ChangeSince $since)
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

    /** In the queue: what was kept stands until what is made anew is whole. */
    public function carryOut(Sitting $round, Progress $progress): void
    {
        if (! $this->isCurrent($round, $round->result()->first())) {
            $made = $this->make($round, $progress);
            DB::transaction(function () use ($round, $made, $progress): void {
                $progress->claim();
                $this->keep($round, $made);
            });
        }
    }

    public function make(Sitting $round, Progress $progress): RoundFigures
    {
        $ratings = RoundRatings::ofRound($round, $this->codebooks);
        $progress->tell(0.15);
        $options = RoundRatings::options();
        $against = $map = [];
        if (! $ratings->scored->isEmpty()) {
            $study = new Study($ratings->scored, $options);
            $against = $study->againstKey($ratings->scored->items());
            $progress->tell(0.3);
            foreach ($ratings->scored->items() as $fault) {
                foreach ($study->keyTables([$fault]) as $rater => $table) {
                    $map[(string) $rater][$fault] = $table->cells();
                }
            }
        }
        $arms = ArmComparison::fromRatings($ratings->byArm);
        $progress->tell(0.4);
        $said = $ratings->said->isEmpty() ? null : (new Study($ratings->said, $options))->result();
        $progress->tell(0.6);
        $people = $this->people($ratings, $said?->pooled);
        $progress->tell(0.75);
        $before = ChangeSince::roundBefore($round);

        return new RoundFigures(
            $ratings->checksum,
            new RoundResult(
                $said,
                $against,
                $map,
                $arms,
                $ratings->left,
                $ratings->cases,
                $ratings->unsupported,
                $ratings->cannotTell,
                $round->keyVersion?->number,
                $options->bootstrap,
                $options->seed,
                $before === null ? null : $this->since->between($before, $ratings->said),
                RoundTimes::ofRound($round),
                RoundTalk::ofRound($round, $ratings->entries, $this->codebooks->of($round)->keys()),
                $people,
            ),
            $before,
        );
    }

    /** @return array<string, PersonResult> by rater; whoever said something */
    private function people(RoundRatings $ratings, ?ItemResult $pooled): array
    {
        if ($pooled === null) {
            return [];
        }
        $latent = self::latent($ratings->said);
        $pairs = [];
        foreach ($pooled->pairs as $pair) {
            $pairs[$pair->a][] = $pairs[$pair->b][] = $pair;
        }
        $out = [];
        foreach ($ratings->said->raterNames() as $rater) {
            $out[$rater] = new PersonResult(
                $ratings->people[(int) substr($rater, 1)] ?? [],
                $latent[$rater] ?? null,
                $pairs[$rater] ?? [],
            );
        }

        return $out;
    }

    /** @return array<string, LatentRates> by rater, of a latent-class model over all faults; none for fewer than three */
    private static function latent(RatingSet $said): array
    {
        $options = RoundRatings::options();
        $table = ItemTable::fromRatings($said, $said->items(), $options->categories, $options->cannotTell);
        $fit = count($table->raters) < 3 ? null : DawidSkene::fit($table, self::STARTS);
        if ($fit === null) {
            return [];
        }
        $out = [];
        foreach ($table->raters as $at => $rater) {
            $out[$rater] = LatentRates::ofRater($fit, $at);
        }

        return $out;
    }

    /**
     * Whole or not at all: what was kept before stands until then. Figures whose inputs were erased since are not made
     * again; they only get the parts that earlier releases did not keep.
     */
    public function keep(Sitting $round, RoundFigures $made): SittingResult
    {
        return DB::transaction(static function () use ($round, $made): SittingResult {
            $kept = $round->erasedAt() === null ? null : $round->result()->first();
            if ($kept === null) {
                $kept = SittingResult::query()->updateOrCreate(
                    ['sitting_id' => $round->id],
                    [
                        'core_version' => Version::CURRENT,
                        'inputs_checksum' => $made->inputs,
                        'format' => RoundJson::VERSION,
                    ],
                );
                $kept->parts()->delete();
            }
            foreach (self::parts($made) as [$part, $subject, $body]) {
                $kept->parts()->insertOrIgnore([
                    'sitting_result_id' => $kept->id,
                    'part' => $part->value,
                    'subject' => $subject,
                    'body' => json_encode($body, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
                ]);
            }

            return $kept;
        });
    }

    /** @return \Generator<array{FigurePart, string, array<string, mixed>}> */
    private static function parts(RoundFigures $made): \Generator
    {
        $r = $made->result;
        yield [FigurePart::Summary, '', RoundJson::summary($r->summary())];
        yield [FigurePart::Map, '', $r->map];
        yield [FigurePart::Arms, '', RoundJson::arms($r->arms)];
        yield [FigurePart::Times, '', RoundJson::times($r->times)];
        yield [FigurePart::Talk, '', RoundJson::talk($r->talk)];
        if ($made->before !== null && $r->change !== null) {
            yield [FigurePart::Change, (string) $made->before->id, RoundJson::change($r->change)];
        }
        $as = StudyJson::kept();
        foreach ($r->study->items ?? [] as $fault => $item) {
            yield [FigurePart::Item, (string) $fault, $as->item($item)];
        }
        if ($r->study !== null) {
            yield [FigurePart::Item, '', $as->item($r->study->pooled)];
        }
        foreach ($r->people as $rater => $person) {
            yield [FigurePart::Person, substr((string) $rater, 1), PersonJson::write($person)];
        }
    }

    /**
     * Whether what is kept was made by this core from what is stored now. What was made from inputs erased since
     * stands.
     */
    public function isCurrent(Sitting $round, ?SittingResult $kept): bool
    {
        return match (true) {
            $kept === null => false,
            $round->erasedAt() !== null => $kept->parts()->where('part', FigurePart::Times)->exists(),
            default => $kept->core_version === Version::CURRENT &&
                $kept->isOfThisFormat() &&
                $kept->inputs_checksum === RoundInputs::ofRound($round, $this->codebooks)->checksum,
        };
    }
}
