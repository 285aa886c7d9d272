<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Casts\Cell;
use App\Models\Enums\FigurePart;
use App\Models\ResultPart;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Format\Json\RoundJson;

/**
 * Right and wrong calls of the staff, as published rounds were counted; of those that are not withheld from who asks.
 */
final readonly class RoundMaps
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /**
     * @param  string|null  $lens  of this one only
     * @return \Generator<Sitting, array<string, array<string, array{int, int, int, int}>>> by rater and fault: found,
     *     missed, over-called, left alone; the oldest round first
     */
    public function of(User $asking, ?string $lens = null): \Generator
    {
        $onlooker = $this->onlookers->of($asking);
        $rounds = Sitting::query()
            ->where('kind', 'round')
            ->where('state', 'published')
            ->when($lens, static fn ($q, string $lens) => $q->where('lens', $lens))
            ->orderBy('published_at')
            ->orderBy('id')
            ->get();
        if ($onlooker->hidden() !== []) {
            $rounds = $rounds->filter(static fn (Sitting $round): bool => $onlooker->withheld($round) === null);
        }
        $parts = ResultPart::query()
            ->join('sitting_results', 'sitting_results.id', '=', 'result_parts.sitting_result_id')
            ->whereIn('sitting_results.sitting_id', $rounds->modelKeys())
            ->where('part', FigurePart::Map)
            ->toBase()
            ->pluck('body', 'sitting_id');
        foreach ($rounds as $round) {
            if ($parts->has($round->id)) {
                yield $round => RoundJson::readMap(
                    json_decode(Cell::text($parts->get($round->id)), true, 16, JSON_THROW_ON_ERROR),
                );
            }
        }
    }
}
