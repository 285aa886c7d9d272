<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use Core\Agreement\Figure;
use Core\Agreement\Profile\RankedPerson;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\RoundSummary;
use Core\Agreement\Undefined;
use Core\Codebook\Codebook;
use Core\Number\Written;

/**
 * Each person against the key, and the map of right calls, person by fault.
 *
 * @phpstan-type PersonRow array{name: string, url: ?string, n: ?int, figures: array<string, Figure>, leaning: string,
 *     rest: Figure, cannotTell: int, unsupported: int, place: ?string, right: ?string, apart: bool}
 */
final class AgreementPeople
{
    /** A share of wrong calls from which on a cell is as dark as any. */
    private const DARKEST = 0.6;

    /**
     * @param  array<string, array<string, array{int, int, int, int}>>  $map  tp, fn, fp, tn by rater and fault
     * @return array{people: list<PersonRow>, faults: list<string>,
     *     map: list<array{name: string, cells: list<array{text: string, shade: int, hint: string}>}>}
     */
    public function of(RoundSummary $r, array $map, RaterNames $raters, Codebook $codebook, Sitting $round): array
    {
        $people = self::ordered($r, $raters);

        return [
            'people' => array_map(fn (RaterResult $p): array => $this->row($p, $r, $raters, $round), $people),
            'faults' => array_values(array_map(static fn ($f): string => $f->name, $codebook->faults)),
            'map' => array_map(
                static fn (RaterResult $p): array => [
                    'name' => $raters->name($p->rater),
                    'cells' => array_map(
                        static fn (string $key): array => self::cell($map[$p->rater][$key] ?? [0, 0, 0, 0]),
                        $codebook->keys(),
                    ),
                ],
                $people,
            ),
        ];
    }

    /**
     * Everybody, of whom one may be seen whole: of others only what the drawing shows as well.
     *
     * @return list<PersonRow>
     */
    public function everybody(RoundSummary $r, RaterNames $raters, Sitting $round): array
    {
        return array_map(function (RaterResult $p) use ($r, $raters, $round): array {
            $row = $this->row($p, $r, $raters, $round);
            if ($raters->shows($p->rater)) {
                return $row;
            }
            $drawn = array_intersect_key($p->figures, ['sensitivity' => true, 'specificity' => true]);

            return [
                ...$row,
                'n' => null,
                'figures' => $drawn,
                'leaning' => '',
                'rest' => Figure::undefined(Undefined::NobodyToCompareWith),
                'cannotTell' => 0,
                'unsupported' => 0,
            ];
        }, self::ordered($r, $raters));
    }

    /**
     * For the head coach the best first, as far as the calls can tell; for others oneself, then colleagues by what they
     * see, so that the order tells nothing of who they are.
     *
     * @return list<RaterResult>
     */
    public static function ordered(RoundSummary $r, RaterNames $raters): array
    {
        $people = array_values($r->againstKey);
        $places = self::places($r);
        $last = count($places);
        $sensitivity = static fn (RaterResult $p): float => $p->figures['sensitivity']->estimate ?? 0.0;
        usort(
            $people,
            $raters->open
                ? static fn (RaterResult $a, RaterResult $b): int => [$places[$a->rater][0] ?? $last, $a->rater] <=>
                    [$places[$b->rater][0] ?? $last, $b->rater]
                : static fn (RaterResult $a, RaterResult $b): int => [$raters->isMe($b->rater), $sensitivity($a)] <=>
                    [$raters->isMe($a->rater), $sensitivity($b)],
        );

        return $people;
    }

    /** @return array<string, array{int, RankedPerson}> place in the order, from 0, by rater */
    private static function places(RoundSummary $r): array
    {
        $out = [];
        foreach ($r->order->people ?? [] as $i => $person) {
            $out[$person->rater] = [$i, $person];
        }

        return $out;
    }

    /**
     * What is told of somebody's place: from where to where it may be, and whether those before can be told apart.
     *
     * @return array{place: ?string, right: ?string, apart: bool}
     */
    private static function place(RaterResult $p, RoundSummary $r): array
    {
        $places = self::places($r);
        [$at, $own] = $places[$p->rater] ?? [null, null];
        if ($own === null) {
            return ['place' => null, 'right' => null, 'apart' => false];
        }
        $before = array_filter($places, static fn (array $of): bool => $of[0] < $at && $of[1]->isTiedWith($own));

        return [
            'place' => $own->best === $own->worst ? (string) $own->best : "{$own->best}–{$own->worst}",
            'right' => Written::fixed(100.0 * $own->shrunken, 0).' %',
            'apart' => $at > 0 && $before === [],
        ];
    }

    /** @return PersonRow */
    private function row(RaterResult $p, RoundSummary $r, RaterNames $raters, Sitting $round): array
    {
        return [
            'name' => $raters->name($p->rater),
            'url' => $raters->shows($p->rater)
                ? route('agreement.person', [$round, RaterNames::id($p->rater)])
                : null,
            'n' => $p->n,
            ...($raters->open ? self::place($p, $r) : ['place' => null, 'right' => null, 'apart' => false]),
            'figures' => $p->figures,
            'leaning' => self::leaning($p->figures['criterion']),
            'rest' => $r->versusRest[$p->rater] ?? Figure::undefined(Undefined::NobodyToCompareWith),
            'cannotTell' => $r->cannotTell[$p->rater] ?? 0,
            'unsupported' => $r->unsupported[$p->rater] ?? 0,
        ];
    }

    private static function leaning(Figure $criterion): string
    {
        if ($criterion->estimate === null) {
            return (string) __('figures.none');
        }
        $way = match (true) {
            $criterion->low > 0.0 => 'under',
            $criterion->high !== null && $criterion->high < 0.0 => 'over',
            default => 'even',
        };

        return (string) __("agreement.leaning.$way", ['by' => Written::fixed($criterion->estimate, 2)]);
    }

    /**
     * @param  array{int, int, int, int}  $counts  found, missed, over-called, rightly absent
     * @return array{text: string, shade: int, hint: string}  shade: 0 to 10
     */
    private static function cell(array $counts): array
    {
        [$found, $missed, $over, $absent] = $counts;
        $n = $found + $missed + $over + $absent;
        $wrong = $n === 0 ? 0.0 : ($missed + $over) / $n;

        return [
            'text' => $n === 0 ? (string) __('figures.none') : ($found + $absent)."/$n",
            'shade' => (int) round(10.0 * min(1.0, $wrong / self::DARKEST)),
            'hint' => (string) __('agreement.cell', compact('found', 'missed', 'over', 'absent')),
        ];
    }
}
