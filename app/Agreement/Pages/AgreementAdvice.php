<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Models\Sitting;
use App\Models\SittingCase;
use Core\Agreement\Figure;
use Core\Agreement\Study\AdviceResult;
use Core\Agreement\Study\RaterResult;
use Core\Number\Written;

/** Whether the staff would do the same with what they see: first causes, chain, priority, decisions, misses. */
final readonly class AgreementAdvice
{
    /** @return array<string, mixed> */
    public function of(?AdviceResult $r, RaterNames $raters, Sitting $round): array
    {
        if ($r === null) {
            return ['finding' => (string) __('agreement.advice.before'), 'among' => [], 'people' => [],
                'cases' => [], 'says' => ''];
        }
        $figures = array_values(array_filter(
            AdviceResult::FIGURES,
            static fn (string $name): bool => array_filter(
                $r->beside,
                static fn (RaterResult $p): bool => $p->figures[$name]->estimate !== null,
            ) !== [],
        ));

        return [
            'finding' => self::finding($r),
            'says' => (string) __('agreement.advice.says', [
                'cases' => $r->cases,
                'readers' => $r->readers,
                'drill' => 0,
                ...$r->settled,
            ]),
            'among' => array_map(static fn (string $what, Figure $f): array => [
                'name' => (string) __("agreement.advice.among.$what.name"),
                'says' => (string) __("agreement.advice.among.$what.says"),
                'figure' => $f,
            ], array_keys($r->among), $r->among),
            'cases' => self::cases($round),
            'heads' => array_map(
                static fn (string $name): string => (string) __("agreement.advice.beside.$name"),
                $figures,
            ),
            'people' => array_map(static fn (RaterResult $p): array => [
                'name' => $raters->name($p->rater),
                'url' => route('agreement.advice', [$round, RaterNames::id($p->rater)]),
                'n' => $p->n,
                'figures' => array_map(static fn (string $name): array => [
                    'figure' => $p->figures[$name],
                    'percent' => $name !== 'miss',
                ], $figures),
            ], $r->beside),
        ];
    }

    /** @return list<array{name: string, url: string}> where everybody's sheets stand side by side */
    private static function cases(Sitting $round): array
    {
        return array_values($round->cases()
            ->where('occasion', 1)
            ->whereNull('withdrawn_at')
            ->with(['rated', 'recording.golfer'])
            ->orderBy('id')
            ->get()
            ->map(static fn (SittingCase $case): array => [
                'name' => $case->called(),
                'url' => route('agreement.case', [$round, $case]),
            ])
            ->all());
    }

    /** In a sentence how much of two colleagues' first causes is common, as a coach would ask it. */
    private static function finding(AdviceResult $r): string
    {
        $overlap = $r->among['overlap']->estimate ?? null;

        return $overlap === null
            ? (string) __('agreement.advice.alone')
            : (string) __('agreement.advice.finding', ['share' => Written::fixed(100.0 * $overlap, 0)]);
    }
}
