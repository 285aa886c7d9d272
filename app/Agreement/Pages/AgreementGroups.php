<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Group;
use App\Models\Sitting;
use App\Models\User;
use Core\Agreement\Study\GroupComparison;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\RoundSummary;
use Core\Chance\Chance;
use Core\Number\Written;

/** Groups of readers beside everybody who is not in them: readers are what is counted, not their calls. */
final class AgreementGroups
{
    private const FIGURES = ['sensitivity', 'specificity'];

    /**
     * @return list<array{name: string, readers: int, others: int, figures: list<array{mean: string, says: string}>}>
     *     of groups of which enough read
     */
    public function of(Sitting $round, RoundSummary $r): array
    {
        $out = [];
        foreach (Group::query()->with('people')->orderBy('kind')->orderBy('name')->get() as $group) {
            $in = [];
            foreach ($group->people as $user) {
                /** @var User $user */
                $in["u$user->id"] = true;
            }
            $figures = [];
            $readers = $others = 0;
            foreach (self::FIGURES as $name) {
                [$one, $other] = [self::values($r, $name, $in, true), self::values($r, $name, $in, false)];
                $compared = GroupComparison::of($one, $other, new Chance("groups|$round->public_id|$group->id|$name"));
                if ($compared === null) {
                    continue 2;
                }
                [$readers, $others] = [$compared->one, $compared->other];
                $figures[] = [
                    'mean' => Written::fixed(100.0 * array_sum($one) / count($one), 0),
                    'says' => self::says($compared),
                ];
            }
            $out[] = [
                'name' => $group->name,
                'readers' => $readers,
                'others' => $others,
                'figures' => $figures,
            ];
        }

        return $out;
    }

    /**
     * @param  array<string, true>  $in
     * @return list<float>
     */
    private static function values(RoundSummary $r, string $figure, array $in, bool $inside): array
    {
        $values = array_map(
            static fn (RaterResult $p): ?float => $p->figures[$figure]->estimate ?? null,
            array_filter($r->againstKey, static fn (RaterResult $p): bool => isset($in[$p->rater]) === $inside),
        );

        return array_values(array_filter($values, static fn (?float $v): bool => $v !== null));
    }

    /** Said only where it is more than chance among these readers. */
    private static function says(GroupComparison $c): string
    {
        $with = [
            'points' => Written::signed(100.0 * $c->difference, 0),
            'p' => $c->p < 0.001 ? '< 0.001' : '= '.Written::fixed($c->p, 3),
        ];

        return (string) __(match (true) {
            $c->smallest > 0.05 => 'agreement.groups.too-few',
            $c->p < 0.05 => 'agreement.groups.differs',
            default => 'agreement.groups.same',
        }, $with);
    }
}
