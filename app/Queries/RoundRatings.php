<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Round;
use App\Models\RoundCase;
use Core\Agreement\CountSums;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\StudyOptions;
use Core\Agreement\Weights;
use Core\Reading\Presence;
use Illuminate\Database\Eloquent\Collection;

/**
 * What was said in a round and what the key says of it, as the arithmetic takes it; raters by number, never by name.
 *
 * Left out of scoring and counted: contested entries, conflicts not ruled on, faults that nobody could observe from what
 * the case showed, and whoever sat on the panel that made the key.
 */
final readonly class RoundRatings
{
    /**
     * @param  list<array{string, string, string, string, string, float|null}>  $rows  case, item, rater, value, occasion, confidence
     * @param  list<array{string, string, string}>  $key  case, item, value
     * @param  list<string>  $unscored  raters who helped to make the key
     * @param  array<string, int>  $unsupported  calls that what was shown cannot support, by rater
     * @param  array<string, int>  $cannotTell  by rater
     * @param  array<string, int>  $left  entries left out of scoring, by reason
     */
    private function __construct(public array $rows, public array $key, public array $unscored, public array $unsupported, public array $cannotTell, public array $left, public int $cases, public string $checksum)
    {
    }

    public static function of(Round $round, Codebooks $codebooks): self
    {
        /** @var Collection<int, RoundCase> $cases */
        $cases = $round->cases()->with('recording')->get()->keyBy('id');
        $readings = $round->readings()->whereNotNull('handed_in_at')->with('calls')->orderBy('readings.id')->get();
        $entries = $round->keyVersion?->entries()->whereIn('recording_id', $cases->pluck('recording_id'))->orderBy('id')->get() ?? collect();
        $panel = $round->keyVersion?->round->members()->orderBy('users.id')->pluck('users.id')->all() ?? [];
        $checksum = hash('sha256', (string) json_encode([
            $round->key_version_id, $panel,
            $readings->map(static fn (Reading $r): array => [$r->id, $r->version, $r->user_id])->all(),
            $entries->mapWithKeys(static fn (KeyEntry $e): array => [$e->id => $e->scoredLabel()])->all(),
        ]));
        $codebook = $codebooks->of($round);
        $rows = $key = $unsupported = $cannotTell = [];
        $left = ['contested' => 0, 'conflict' => 0, 'not observable' => 0];
        $known = $entries->keyBy(static fn (KeyEntry $e): string => $e->recording_id.'|'.$e->fault);
        foreach ($cases as $case) {
            foreach ($codebook->faults as $fault => $definition) {
                $entry = $known->get($case->recording_id.'|'.$fault);
                if ($entry === null || $case->occasion !== 1) {
                    continue;
                }
                $label = $entry->scoredLabel();
                if ($label === null) {
                    $left[$entry->grade === 'conflict' ? 'conflict' : 'contested']++;
                } elseif (! $definition->sight($case->shown())->supports()) {
                    $left['not observable']++;
                } else {
                    $key[] = ['r'.$case->recording_id, $fault, $label];
                }
            }
        }
        foreach ($readings as $reading) {
            $case = $cases[$reading->round_case_id];
            $rater = 'u'.$reading->user_id;
            $core = $reading->toCore();
            $unsupported[$rater] = ($unsupported[$rater] ?? 0) + count($core->unsupported($codebook, $case->shown()));
            foreach ($core->calls as $fault => $call) {
                $cannotTell[$rater] = ($cannotTell[$rater] ?? 0) + ($call->presence === Presence::CannotTell ? 1 : 0);
                $rows[] = ['r'.$case->recording_id, $fault, $rater, $call->presence->value, (string) $case->occasion, $call->confidence === null ? null : $call->confidence / 100];
            }
        }

        return new self($rows, $key, array_map(static fn (mixed $id): string => 'u'.(is_scalar($id) ? $id : ''), array_values($panel)), $unsupported, $cannotTell, $left, $cases->count(), $checksum);
    }

    /** Everybody's calls, without the key. */
    public function said(): RatingSet
    {
        return $this->set($this->rows);
    }

    /** The calls of those who are scored, with the key. */
    public function scored(): RatingSet
    {
        $set = $this->set(array_filter($this->rows, fn (array $row): bool => ! in_array($row[2], $this->unscored, true)));
        foreach ($this->key as $entry) {
            $set->addKey(...$entry);
        }

        return $set;
    }

    /**
     * Sums by case over the rows that are kept, of present against absent; null where none is left.
     *
     * @param  \Closure(array{string, string, string, string, string, float|null}): bool  $keep
     */
    public function sums(\Closure $keep): ?CountSums
    {
        $set = $this->set(array_filter($this->rows, $keep));
        $options = self::options();

        return $set->isEmpty() ? null : new CountSums(ItemTable::of($set, $set->items(), $options->categories, $options->cannotTell), Weights::identity(2));
    }

    /** @param  array<int, array{string, string, string, string, string, float|null}>  $rows */
    private function set(array $rows): RatingSet
    {
        $set = new RatingSet;
        foreach ($rows as $row) {
            $set->add(...$row);
        }

        return $set;
    }

    public static function options(): StudyOptions
    {
        return new StudyOptions(
            categories: [Presence::Absent->value, Presence::Present->value],
            cannotTell: Presence::CannotTell->value,
            bootstrap: (int) config('academy.bootstrap'),
        );
    }
}
