<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\RoundRatings;
use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Resampling\Comparison;
use Core\Sight\SittingKind;

/** Whether the staff agree more in one round than in an earlier one, over the faults and the people that both have. */
final readonly class RoundComparison
{
    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /**
     * @return array{with: string, people: int, faults: int, agreement: Comparison, ac1: Comparison,
     * detectable: float|null}|null null without an earlier round that shares two people, or where that one is withheld
     * from who
     * asks
     */
    public function of(Sitting $round, User $for): ?array
    {
        $before = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->whereKeyNot($round->id)
            ->where('published_at', '<', $round->published_at)
            ->orderByDesc('published_at')
            ->first();
        if ($before === null || $this->onlookers->of($for)->withheld($before) !== null) {
            return null;
        }
        $of = [RoundRatings::ofRound($before, $this->codebooks), RoundRatings::ofRound($round, $this->codebooks)];
        $both = static fn (int $column): array => array_intersect(
            array_column($of[0]->rows, $column),
            array_column($of[1]->rows, $column),
        );
        $people = array_fill_keys($both(2), true);
        $faults = array_fill_keys($both(1), true);
        if (count($people) < 2 || $faults === []) {
            return null;
        }
        $options = RoundRatings::options();
        /** @param  array{string, string, string, string, string, float|null}  $row */
        $keep = static fn (array $row): bool => isset($people[Cell::text($row[2])], $faults[Cell::text($row[1])]);
        [$was, $is] = [$of[0]->sums($keep), $of[1]->sums($keep)];
        if ($was === null || $is === null) {
            return null;
        }
        $compare = static fn (string $name): Comparison => Comparison::independent(
            $was->byCase(),
            $is->byCase(),
            $was->statistic($name),
            $options->confidence,
            $options->seed,
            1000,
        );
        $ac1 = $compare('gwet_ac');

        return [
            'with' => $before->name,
            'people' => count($people),
            'faults' => count($faults),
            'agreement' => $compare('percent_agreement'),
            'ac1' => $ac1,
            'detectable' => $ac1->difference->se === null ? null : Comparison::detectable($ac1->difference->se),
        ];
    }
}
