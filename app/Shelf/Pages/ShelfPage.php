<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

use App\Codebook\Codebooks;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Codebook\StandardLenses;
use Illuminate\Database\Eloquent\Builder;

/** The recordings with the shape of each one's trace. */
final class ShelfPage
{
    public function __construct(private readonly Codebooks $codebooks, private readonly Onlookers $onlookers)
    {
    }

    /**
     * @param  array<string, string>  $filter
     * @return array<string, mixed>
     */
    public function of(array $filter, User $user): array
    {
        $recordings = $this->onlookers
            ->of($user)
            ->recordings()
            ->with([
                'golfer.consents',
                'measured',
                'films',
                'stations',
                'channels' => fn ($q) => $q->whereIn('name', [
                    'lead_pct',
                    'trail_pct',
                    'lead_fz_n',
                    'trail_fz_n',
                    'copx_mm',
                    'fz_n',
                ]),
            ])
            ->withCount('motion')
            ->when($filter['club'] ?? null, fn (Builder $q, string $club) => $q->where('club', $club))
            ->when($filter['device'] ?? null, fn (Builder $q, string $device) => $q->where('device_class', $device))
            ->when(
                $filter['hand'] ?? null,
                fn (Builder $q, string $hand) => $q->whereHas(
                    'golfer',
                    fn (Builder $g) => $g->where('handedness', $hand),
                ),
            )
            ->when(
                $filter['fault'] ?? null,
                fn (Builder $q, string $fault) => $q->whereHas(
                    'measured',
                    fn (Builder $m) => $m->where(
                        'faults->'.StandardLenses::DEFAULT.'->'.$fault.'->verdict',
                        'supported',
                    ),
                ),
            )
            ->orderByDesc('created_at')
            ->orderByDesc('id')
            ->get();

        return [
            'recordings' => $recordings,
            'shapes' => $recordings->mapWithKeys(fn (Recording $r): array => [$r->id => self::shape($r)])->all(),
            'filter' => $filter,
            'codebook' => $this->codebooks->current(),
            'clubs' => $this->onlookers->of($user)->recordings()->distinct()->orderBy('club')->pluck('club'),
            'golfers' => Golfer::query()->consenting()->orderBy('pseudonym')->get(),
            'total' => $this->onlookers->of($user)->recordings()->count(),
            'ended' => Recording::query()
                ->whereNull('erased_at')
                ->whereDoesntHave('golfer', static fn ($q) => $q->consenting())
                ->count(),
        ];
    }

    /**
     * The lead share at forty moments from address to finish, as an SVG path in a box of 120 × 36.
     */
    private static function shape(Recording $recording): string
    {
        $c = $recording->channels->keyBy('name')->all();
        $n = $recording->samples;
        $stance = $recording->stance;
        $times = $recording->stations->pluck('t_s');
        $from = max(0, (int) ((($times->first() ?? $recording->t0) - $recording->t0) * $recording->rate_hz));
        $to = min($n - 1, (int) ((($times->last() ?? INF) - $recording->t0) * $recording->rate_hz));
        $path = '';
        for ($i = 0; $i <= 40; $i++) {
            $k = (int) ($from + ($to - $from) * $i / 40);
            $share = match ($recording->device_class) {
                'mat' => $c['lead_pct']->samples[$k],
                'dual-plate' => (100 * $c['lead_fz_n']->samples[$k]) /
                    max(1.0, $c['lead_fz_n']->samples[$k] + $c['trail_fz_n']->samples[$k]),
                default => $stance === null
                    ? 50.0
                    : (100 * ($c['copx_mm']->samples[$k] - $stance->trail->xMm)) /
                        ($stance->lead->xMm - $stance->trail->xMm),
            };
            $share = is_nan($share) ? 50.0 : max(0.0, min(100.0, $share));
            $path .= sprintf('%s%.0f %.1f', $i === 0 ? 'M' : 'L', 3 * $i, 34 - 0.32 * $share);
        }

        return $path;
    }
}
