<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\PairResult;
use Core\Agreement\RaterResult;
use Core\Reading\Presence;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Core\Sight\Thing;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;

/**
 * A published round's figures as one person may see them. The head coach sees everybody by name; an
 * instructor sees their own figures by name and colleagues' without one, in an order that tells nothing.
 */
final class AgreementPage
{
    public function __construct(
        private readonly Onlookers $onlookers,
        private readonly Codebooks $codebooks,
        private readonly RoundComparison $comparison,
        private readonly RoundTimes $times,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $user): array
    {
        $result = $round->result()->firstOrFail();
        $r = $result->figures();
        $open = $user->isHeadCoach();
        $names = $round->members()->pluck('name', 'users.id');
        $me = 'u'.$user->id;
        $label = static fn (string $rater): string => $open || $rater === $me
            ? (string) ($names[(int) substr($rater, 1)] ?? $rater)
            : 'a colleague';
        $estimate = static fn (array $p, string $figure, float $otherwise): float => $p['figures'][$figure]->estimate ??
            $otherwise;

        $people = collect($r->againstKey)
            ->map(
                fn (RaterResult $p): array => [
                    'rater' => $p->rater,
                    'n' => $p->n,
                    'figures' => $p->figures,
                    'name' => $label($p->rater),
                    'mine' => $p->rater === $me,
                    'unsupported' => $r->unsupported[$p->rater] ?? 0,
                    'cannot_tell' => $r->cannotTell[$p->rater] ?? 0,
                    'map' => $r->map[$p->rater] ?? [],
                ],
            )
            ->sortBy(
                $open
                    ? [fn (array $a, array $b): int => $estimate($b, 'youden', -2.0) <=> $estimate($a, 'youden', -2.0)]
                    : [
                        fn (array $a, array $b): int => [$b['mine'], $estimate($a, 'sensitivity', 0.0)] <=> [
                            $a['mine'],
                            $estimate($b, 'sensitivity', 0.0),
                        ],
                    ],
            )
            ->values();
        if (! $open) {
            // What could tell colleagues apart goes; only the dots remain.
            $people = $people->map(
                fn (array $p): array => $p['mine']
                    ? $p
                    : [
                        'name' => $p['name'],
                        'mine' => false,
                        'rater' => '',
                        'n' => null,
                        'figures' => array_intersect_key($p['figures'], ['sensitivity' => 1, 'specificity' => 1]),
                    ],
            );
        }
        $pairs = collect($r->study->pooled->pairs ?? []);
        $shown = static fn (PairResult $p, string $a, string $b): array => [
            'a' => $a,
            'b' => $b,
            'n' => $p->n,
            'same' => $p->agreement,
            'kappa' => $p->kappa,
            'pabak' => $p->pabak,
        ];

        return [
            'round' => $round,
            'erased' => $round->erasedAt(),
            'result' => $result,
            'figures' => $r,
            'study' => $r->study?->pooled,
            'items' => $r->study->items ?? [],
            'codebook' => $this->codebooks->of($round),
            'open' => $open,
            'people' => $people,
            'pairs' => $open
                ? $pairs->map(fn (PairResult $p): array => $shown($p, $label($p->a), $label($p->b)))
                : $pairs
                    ->filter(fn (PairResult $p): bool => $p->a === $me || $p->b === $me)
                    ->map(fn (PairResult $p): array => $shown($p, $user->name, 'a colleague'))
                    ->sortBy(fn (array $p): ?float => $p['kappa']->estimate)
                    ->values(),
            'names' => $open
                ? collect($r->againstKey)->map(fn (RaterResult $p): string => $label($p->rater))->sort()->values()
                : collect(),
            'rounds' => Sitting::query()
                ->where('kind', SittingKind::Round)
                ->where('state', 'published')
                ->orderByDesc('published_at')
                ->get()
                ->filter(fn (Sitting $x): bool => Gate::forUser($user)->allows('viewResult', $x)),
            'compared' => $open ? $this->comparison->of($round, $user) : null,
            'times' => $open
                ? array_map(
                    fn (array $t): array => [
                        ...$t,
                        'people' => array_map(
                            fn (array $p): array => [...$p, 'name' => $label($p['rater'])],
                            $t['people'],
                        ),
                    ],
                    $this->times->of($round),
                )
                : [],
            'rest' => $r->study->pooled->versusRest ?? [],
            'mine' => $open ? collect() : $this->differences($round, $user),
        ];
    }

    /**
     * Where this person's calls differ from the key, on recordings that await no blind reading by them.
     *
     * @return Collection<int, array<string, mixed>>
     */
    private function differences(Sitting $round, User $user): Collection
    {
        $entries =
            $round->keyVersion?->entries()->get()->keyBy(fn (KeyEntry $e): string => $e->case_id.'|'.$e->fault) ??
            collect();
        $codebook = $this->codebooks->of($round);
        $out = collect();
        $readings = Reading::query()
            ->where('user_id', $user->id)
            ->where('stage', Stage::Blind)
            ->whereIn('sitting_case_id', $round->cases()->select('id'))
            ->whereNotNull('handed_in_at')
            ->with(['calls', 'case.swings', 'case.recording.golfer'])
            ->orderBy('position')
            ->get();
        $onlooker = $this->onlookers->of($user)->over($readings->pluck('case'));
        foreach ($readings as $reading) {
            if (! $onlooker->seesResult($reading->case, $round, Thing::Key)) {
                continue;
            }
            foreach ($codebook->faults as $key => $fault) {
                $entry = $entries->get($reading->case->case_id.'|'.$key);
                $call = $reading->calls->firstWhere('fault', $key);
                $truth = $entry?->scoredLabel();
                if (
                    $entry === null ||
                    $call === null ||
                    $truth === null ||
                    $call->presence->value === $truth ||
                    $call->presence === Presence::CannotTell
                ) {
                    continue;
                }
                $out->push([
                    'position' => $reading->position,
                    'recording' => $reading->case->recording,
                    'fault' => $fault,
                    'call' => $call,
                    'entry' => $entry,
                    'truth' => $truth,
                ]);
            }
        }

        return $out;
    }
}
