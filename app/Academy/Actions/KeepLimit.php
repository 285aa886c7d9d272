<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\GolferChanged;
use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\User;
use Core\Codebook\CodebookException;
use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSeverity;
use Core\Codebook\LimitSide;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Notes what a golfer's body is to be spared, or that it need not be any more. Those of before stay, with their end.
 */
final readonly class KeepLimit
{
    /**
     * @param  array{region: LimitRegion, side: ?LimitSide, severity: LimitSeverity, since: ?Carbon, is_cleared: bool,
     *     cleared_until: ?Carbon, note: ?string}  $limit
     *
     * @throws ActionException
     */
    public function __invoke(Golfer $golfer, array $limit, User $by): GolferLimit
    {
        return DB::transaction(function () use ($golfer, $limit, $by): GolferLimit {
            $kept = new GolferLimit(['golfer_id' => $golfer->id, ...$limit]);
            try {
                $core = $kept->toCore();
            } catch (CodebookException $e) {
                throw ActionException::of($e);
            }
            $kept->save();
            event(new GolferChanged($golfer, 'limit-noted', $by, [], ['limit' => $core->key()]));

            return $kept;
        });
    }

    public function end(GolferLimit $limit, User $by): void
    {
        DB::transaction(function () use ($limit, $by): void {
            $limit->update(['ended_on' => Academy::today()]);
            event(new GolferChanged(
                Golfer::query()->findOrFail($limit->golfer_id),
                'limit-ended',
                $by,
                [],
                ['limit' => $limit->toCore()->key()],
            ));
        });
    }

    /**
     * It has not ended after all.
     *
     * @param  array<array-key, mixed>  $payload
     *
     * @throws ActionException where it is gone, or has not ended any more
     */
    public function back(array $payload, User $by): void
    {
        DB::transaction(function () use ($payload, $by): void {
            $limit = GolferLimit::query()
                ->whereNotNull('ended_on')
                ->lockForUpdate()
                ->find(Cell::int($payload['limit'] ?? 0))
                ?? throw ActionException::because('refusals.undo.changed', [], ActionException::CONFLICT);
            $limit->update(['ended_on' => $payload['ended_on'] ?? null]);
            event(new GolferChanged(
                Golfer::query()->findOrFail($limit->golfer_id),
                'limit-back',
                $by,
                [],
                ['limit' => $limit->toCore()->key()],
            ));
        });
    }
}
