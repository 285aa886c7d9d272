<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
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
    public function __construct(private readonly Onlookers $onlookers, private readonly Codebooks $codebooks, private readonly RoundComparison $comparison, private readonly RoundTimes $times)
    {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $user): array
    {
        $result = $round->result()->firstOrFail();
        /** @var array{against_key: list<array<string, mixed>>, unsupported: array<string, int>, cannot_tell: array<string, int>, map: array<string, mixed>, study: array<string, mixed>} $r */
        $r = $result->results;
        $open = $user->isHeadCoach();
        $names = $round->members()->pluck('name', 'users.id');
        $me = 'u'.$user->id;
        $label = static fn (string $rater): string => $open || $rater === $me ? (string) ($names[(int) substr($rater, 1)] ?? $rater) : 'a colleague';

        $people = collect($r['against_key'])->map(fn (array $p): array => [
            ...$p, 'name' => $label($p['rater']), 'mine' => $p['rater'] === $me,
            'unsupported' => $r['unsupported'][$p['rater']] ?? 0, 'cannot_tell' => $r['cannot_tell'][$p['rater']] ?? 0,
            'map' => $r['map'][$p['rater']] ?? [],
        ])->sortBy($open
            ? [fn (array $a, array $b): int => ($b['youden']['estimate'] ?? -2) <=> ($a['youden']['estimate'] ?? -2)]
            : [fn (array $a, array $b): int => [$b['mine'], $a['sensitivity']['estimate'] ?? 0] <=> [$a['mine'], $b['sensitivity']['estimate'] ?? 0]])->values();
        if (! $open) {
            // What could tell colleagues apart goes; only the dots remain.
            $people = $people->map(fn (array $p): array => $p['mine'] ? $p : ['name' => $p['name'], 'mine' => false, 'rater' => '', 'n' => null, 'sensitivity' => $p['sensitivity'], 'specificity' => $p['specificity']]);
        }
        /** @var list<array<string, mixed>> $all */
        $all = $r['study']['pooled']['pairs'] ?? [];
        $pairs = collect($all);

        return [
            'round' => $round,
            'erased' => $round->erasedAt(),
            'result' => $result,
            'figures' => $r,
            'codebook' => $this->codebooks->of($round),
            'open' => $open,
            'people' => $people,
            'pairs' => $open
                ? $pairs->map(fn (array $p): array => [...$p, 'a' => $label($p['a']), 'b' => $label($p['b'])])
                : $pairs->filter(fn (array $p): bool => $p['a'] === $me || $p['b'] === $me)->map(fn (array $p): array => [...$p, 'a' => $user->name, 'b' => 'a colleague'])->sortBy('cohen_kappa.estimate')->values(),
            'names' => $open ? collect($r['against_key'])->pluck('rater')->map($label)->sort()->values() : collect(),
            'rounds' => Sitting::query()->where('kind', SittingKind::Round)->where('state', 'published')->orderByDesc('published_at')->get()->filter(fn (Sitting $x): bool => Gate::forUser($user)->allows('viewResult', $x)),
            'compared' => $open ? $this->comparison->of($round, $user) : null,
            'times' => $open ? array_map(fn (array $t): array => [...$t, 'people' => array_map(fn (array $p): array => [...$p, 'name' => $label($p['rater'])], $t['people'])], $this->times->of($round)) : [],
            'rest' => array_column((array) ($r['study']['pooled']['raters_vs_rest'] ?? []), 'mean_kappa', 'rater'),
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
        $entries = $round->keyVersion?->entries()->get()->keyBy(fn (KeyEntry $e): string => $e->case_id.'|'.$e->fault) ?? collect();
        $codebook = $this->codebooks->of($round);
        $out = collect();
        $readings = Reading::query()->where('user_id', $user->id)->where('stage', Stage::Blind)->whereIn('sitting_case_id', $round->cases()->select('id'))
            ->whereNotNull('handed_in_at')->with(['calls', 'case.swings', 'case.recording.golfer'])->orderBy('position')->get();
        $onlooker = $this->onlookers->of($user)->over($readings->pluck('case'));
        foreach ($readings as $reading) {
            if (! $onlooker->seesResult($reading->case, $round, Thing::Key)) {
                continue;
            }
            foreach ($codebook->faults as $key => $fault) {
                $entry = $entries->get($reading->case->case_id.'|'.$key);
                $call = $reading->calls->firstWhere('fault', $key);
                $truth = $entry?->scoredLabel();
                if ($entry === null || $call === null || $truth === null || $call->presence === $truth || $call->presence === 'cannot-tell') {
                    continue;
                }
                $out->push(['position' => $reading->position, 'recording' => $reading->case->recording, 'fault' => $fault, 'call' => $call, 'entry' => $entry, 'truth' => $truth]);
            }
        }

        return $out;
    }
}
