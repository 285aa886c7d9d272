<?php

declare(strict_types=1);

namespace App\Agreement\Actions;

use App\Agreement\ArmComparison;
use App\Agreement\ChangeSince;
use App\Agreement\PeopleResults;
use App\Agreement\RoundAdvice;
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
use Core\Agreement\Study\RoundResult;
use Core\Agreement\Study\Study;
use Core\Format\Json\AdviceJson;
use Core\Format\Json\FacetJson;
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
        $progress->tell(0.2);
        $scale = PeopleResults::scaleOf($ratings);
        // Before there is much else in memory: it may want another round's calls.
        $before = ChangeSince::roundBefore($round);
        $change = $before === null ? null : $this->since->between($before, $ratings, $scale);
        $progress->tell(0.3);
        $options = RoundRatings::options();
        $said = $ratings->said->isEmpty() ? null : (new Study($ratings->said, $options))->result();
        $progress->tell(0.6);
        $scored = $ratings->scored();
        $against = $scored->isEmpty() ? null : new Study($scored, $options);
        $items = $scored->items();
        $progress->tell(0.7);
        $arms = ArmComparison::fromRatings($ratings);
        $people = PeopleResults::ofRound($ratings, $said->pooled->pairs ?? [], $scale);
        $progress->tell(0.8);

        return new RoundFigures(
            $ratings->inputs->checksum,
            new RoundResult(
                $said,
                $against?->againstKey($items) ?? [],
                $against === null ? [] : self::map($against, $items),
                $arms,
                $ratings->left,
                count($ratings->inputs->cases),
                $ratings->unsupported,
                $ratings->cannotTell,
                $round->keyVersion?->number,
                $options->bootstrap,
                $options->seed,
                $change,
                RoundTimes::ofRound($round),
                RoundTalk::ofCounts($ratings->counts, $ratings->inputs),
                $against?->key()->countedWrong($items) ?? [],
                $against?->key()->order($items),
                $against?->key()->keyError($items),
                RoundAdvice::ofRound($round, $ratings->inputs),
            ),
            $people,
            $before,
        );
    }

    /**
     * @param  list<string>  $faults
     * @return array<string, array<string, array{int, int, int, int}>> tp, fn, fp, tn by rater and fault
     */
    private static function map(Study $against, array $faults): array
    {
        $map = [];
        foreach ($faults as $fault) {
            foreach ($against->keyTables([$fault]) as $rater => $table) {
                $map[(string) $rater][$fault] = $table->cells();
            }
        }

        return $map;
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
                        'core_version' => Version::AGREEMENT,
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
        $scale = $made->people->scale;
        if ($r->advice !== null) {
            yield [FigurePart::Advice, '', AdviceJson::write($r->advice)];
        }
        if ($scale !== null) {
            yield [FigurePart::Scale, '', FacetJson::write($scale)];
        }
        foreach ($made->people->each() as $user => $person) {
            yield [FigurePart::Person, (string) $user, PersonJson::write($person)];
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
            default => $kept->core_version === Version::AGREEMENT &&
                $kept->isOfThisFormat() &&
                $kept->inputs_checksum === RoundInputs::ofRound($round, $this->codebooks)->checksum,
        };
    }
}
