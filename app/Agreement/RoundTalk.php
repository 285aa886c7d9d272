<?php

declare(strict_types=1);

namespace App\Agreement;

use Core\Agreement\Profile\CaseTalk;
use Core\Agreement\Profile\Contention;
use Core\Reading\Presence;

/** Cases of a round by what there is to talk about. */
final class RoundTalk
{
    /**
     * First occasions only; whoever shows them leaves out what may not be shown.
     *
     * @param  array<int, array<string, array<string, int>>>  $counts  calls by place, fault and presence
     * @return list<CaseTalk> by place of the round, the most first
     */
    public static function ofCounts(array $counts, RoundInputs $inputs): array
    {
        $labels = $out = [];
        foreach ($inputs->entries as $entry) {
            $labels[$entry->case_id][$entry->fault] = $entry->scoredLabel();
        }
        foreach ($inputs->cases as $place => $case) {
            if ($case->occasion === 1) {
                $questions = [];
                // In the order of the codebook, which breaks ties.
                foreach (array_intersect($inputs->codebook->keys(), array_keys($counts[$place] ?? [])) as $fault) {
                    $questions[$fault] = self::question(
                        $counts[$place][$fault],
                        $labels[$case->case_id][$fault] ?? null,
                    );
                }
                $out[] = CaseTalk::ofQuestions($place, $questions);
            }
        }
        usort($out, static fn (CaseTalk $a, CaseTalk $b): int => [$b->weight, $a->case] <=> [$a->weight, $b->case]);

        return $out;
    }

    /** @param  array<string, int>  $counts  by presence */
    private static function question(array $counts, ?string $label): Contention
    {
        return new Contention(
            $counts[Presence::Present->value] ?? 0,
            $counts[Presence::Absent->value] ?? 0,
            $counts[Presence::CannotTell->value] ?? 0,
            $label === null ? null : $label === Presence::Present->value,
        );
    }
}
