<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Round;
use Core\Agreement\Comparison;
use Core\Agreement\CountSums;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Weights;

/** Whether the staff agree more in one round than in an earlier one, over the faults and the people that both have. */
final readonly class RoundComparison
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @return array{with: string, people: int, faults: int, agreement: Comparison, ac1: Comparison, detectable: float|null}|null null without an earlier round that shares two people */
    public function of(Round $round): ?array
    {
        $before = Round::query()->where('kind', Round::STAFF)->where('state', 'published')->whereKeyNot($round->id)
            ->where('published_at', '<', $round->published_at)->orderByDesc('published_at')->first();
        if ($before === null) {
            return null;
        }
        $rows = [RoundRatings::of($before, $this->codebooks)->rows, RoundRatings::of($round, $this->codebooks)->rows];
        $both = static fn (int $column): array => array_intersect(array_column($rows[0], $column), array_column($rows[1], $column));
        $people = array_fill_keys($both(2), true);
        $faults = array_fill_keys($both(1), true);
        if (count($people) < 2 || $faults === []) {
            return null;
        }
        $options = RoundRatings::options();
        $sums = [];
        foreach ($rows as $list) {
            $set = new RatingSet;
            foreach ($list as $row) {
                if (isset($people[$row[2]], $faults[$row[1]])) {
                    $set->add(...$row);
                }
            }
            $sums[] = new CountSums(ItemTable::of($set, $set->items(), $options->categories, $options->cannotTell), Weights::identity(2));
        }
        $compare = static fn (string $name): Comparison => Comparison::independent($sums[0]->byCase(), $sums[1]->byCase(), $sums[0]->statistic($name), $options->confidence, $options->seed, 1000);
        $ac1 = $compare('gwet_ac');

        return [
            'with' => $before->name, 'people' => count($people), 'faults' => count($faults), 'agreement' => $compare('percent_agreement'), 'ac1' => $ac1,
            'detectable' => $ac1->difference->se === null ? null : Comparison::detectable($ac1->difference->se),
        ];
    }
}
