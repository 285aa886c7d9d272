<?php

declare(strict_types=1);

namespace App\Readiness\Pages;

use App\Models\Academy;
use App\Models\ReadinessDecision;
use App\Readiness\RuleWords;
use App\Readiness\Standings;
use Illuminate\Support\Carbon;

/** A sign-off on paper, and whether one that somebody holds is genuine and still holds. */
final readonly class StatementPage
{
    public function __construct(private RuleWords $words)
    {
    }

    /** @return array<string, mixed> */
    public function of(ReadinessDecision $decision): array
    {
        $rule = ReadinessPage::current($decision->rule);
        $criteria = $decision->evidence['criteria'] ?? [];

        return [
            'decision' => $decision,
            'academy' => Academy::query()->first()->name ?? '',
            'name' => $decision->user->name,
            'by' => $decision->decider->name,
            'rule' => $decision->rule->name,
            'about' => $this->words->about($decision->rule),
            'date' => $decision->created_at->timezone(Academy::zone())->format('j F Y'),
            'until' => $decision->until?->format('j F Y') ?? '',
            'conditions' => $decision->conditions,
            'criteria' => is_array($criteria) ? $criteria : [],
            'cases' => $decision->evidence['cases'] ?? 0,
            'code' => implode(' ', str_split((string) $decision->code, 5)),
            'now' => ReadinessPage::says(Standings::ofOne($decision->user, $rule)),
            'holds' => Standings::ofOne($decision->user, $rule)->holds() && self::isNewest($decision),
            'today' => Carbon::now(Academy::zone())->format('j F Y'),
        ];
    }

    public static function byCode(string $code): ?ReadinessDecision
    {
        $code = strtoupper((string) preg_replace('/\s+/', '', $code));

        return preg_match('/^[2-9A-HJ-NP-Z]{20}$/D', $code) === 1
            ? ReadinessDecision::query()->where('code', $code)->with(['user', 'decider', 'rule'])->first()
            : null;
    }

    private static function isNewest(ReadinessDecision $decision): bool
    {
        return Standings::decisions($decision->user, $decision->rule)
            ->whereNotNull('code')
            ->last()
            ?->is($decision) === true;
    }
}
