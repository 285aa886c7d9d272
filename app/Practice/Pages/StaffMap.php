<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\User;
use App\Practice\PersonSkills;
use App\Practice\RoundMaps;
use Core\Number\Written;
use Core\Sight\Role;
use Core\Training\Answer;
use Core\Training\Learner;
use Core\Training\NextQuestion;
use Core\Training\Skill;
use Illuminate\Support\Carbon;

/**
 * For the head coach: who should practise what this week, from the published rounds as they were counted and from what
 * was practised; and who does.
 *
 * @phpstan-type StaffRow array{name: string, progress: string, weak: list<array{fault: string, url: string,
 *     chance: string, low: string}>, answers: int, days: ?int}
 */
final readonly class StaffMap
{
    private const DAY_S = 86_400.0;

    /** So many faults are named for each. */
    private const NAMED = 3;

    private const WEEK = 7;

    public function __construct(private Codebooks $codebooks, private RoundMaps $maps)
    {
    }

    /** @return list<StaffRow> those first who are farthest from the aim */
    public function of(User $head): array
    {
        $scored = $this->scored($head);
        $practised = PersonSkills::practisedByAll(array_keys($scored));
        $codebook = $this->codebooks->current();
        $today = Carbon::now()->getTimestamp() / self::DAY_S;
        $names = User::query()
            ->whereKey(array_keys($scored))
            ->where('role', Role::Instructor)
            ->where('state', 'active')
            ->orderBy('name')
            ->orderBy('id')
            ->pluck('name', 'id');
        $rows = $order = [];
        foreach ($names as $id => $name) {
            $own = $practised[$id] ?? [];
            $answers = [...$scored[$id], ...$own];
            usort($answers, static fn (Answer $a, Answer $b): int => $a->day <=> $b->day);
            $skills = array_filter(
                Learner::skills($answers, $codebook->keys(), $today),
                static fn (Skill $s): bool => $s->answers > 0 && $s->low() < NextQuestion::AIM,
            );
            usort($skills, static fn (Skill $a, Skill $b): int => $a->low() <=> $b->low());
            $weak = array_slice($skills, 0, self::NAMED);
            $days = array_map(static fn (Answer $a): float => $today - $a->day, $own);
            $order[] = array_sum(array_map(static fn (Skill $s): float => $s->low(), $weak));
            $rows[] = [
                'name' => Cell::text($name),
                'progress' => route('practice.progress', $id),
                'weak' => array_map(static fn (Skill $s): array => [
                    'fault' => $codebook->faults[$s->fault]->name,
                    'url' => route('codebook.fault', $s->fault),
                    'chance' => Written::fixed(100.0 * $s->chance(), 0),
                    'low' => Written::fixed(100.0 * $s->low(), 0),
                ], $weak),
                'answers' => count(array_filter($days, static fn (float $d): bool => $d < self::WEEK)),
                'days' => $days === [] ? null : (int) floor(min($days)),
            ];
        }
        array_multisort($order, SORT_ASC, SORT_NUMERIC, array_keys($rows), SORT_ASC, $rows);

        return $rows;
    }

    /** @return array<int, list<Answer>> by person, what their published rounds count of each fault */
    private function scored(User $head): array
    {
        $out = [];
        foreach ($this->maps->of($head) as $round => $map) {
            $day = (float) ($round->published_at?->getTimestamp() ?? 0);
            foreach ($map as $rater => $faults) {
                foreach ($faults as $fault => [$found, $missed, $over, $absent]) {
                    foreach ([[true, $found + $absent], [false, $missed + $over]] as [$right, $n]) {
                        if ($n > 0) {
                            $out[(int) substr($rater, 1)][] = new Answer(
                                $fault,
                                $right,
                                $day / self::DAY_S,
                                0.0,
                                false,
                                $n,
                            );
                        }
                    }
                }
            }
        }

        return $out;
    }
}
