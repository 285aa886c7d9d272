<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Cell;
use Core\Sight\Scope;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One use that a golfer, or a guardian, has agreed to, from a day until a day.
 *
 * @property int $id
 * @property int $golfer_id
 * @property Scope $scope
 * @property ?string $guardian
 * @property Carbon $given_on
 * @property Carbon $expires_on
 * @property ?Carbon $withdrawn_at
 * @property ?ConsentPaper $paper
 */
final class Consent extends Row
{
    protected $fillable = ['golfer_id', 'scope', 'given_on', 'expires_on', 'guardian', 'withdrawn_at', 'paper_id'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'scope' => Scope::class,
            'given_on' => 'date',
            'expires_on' => 'date',
            'withdrawn_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<ConsentPaper, $this> */
    public function paper(): BelongsTo
    {
        return $this->belongsTo(ConsentPaper::class);
    }

    public function isValid(): bool
    {
        return $this->withdrawn_at === null && $this->expires_on->toDateString() >= Academy::today();
    }

    /**
     * What runs out within so many days, or has, and was not renewed.
     *
     * @return array<int, non-empty-array<string, Carbon>> the last day, by golfer and scope, the earliest first
     */
    public static function ending(int $days): array
    {
        $out = [];
        $rows = self::query()
            ->whereNull('withdrawn_at')
            ->groupBy('golfer_id', 'scope')
            ->havingRaw('max(expires_on) <= ?', [Carbon::parse(Academy::today())->addDays($days)->toDateString()])
            ->orderByRaw('max(expires_on), golfer_id')
            ->selectRaw('golfer_id, scope, max(expires_on) as until')
            ->toBase()
            ->get();
        foreach ($rows as $row) {
            $out[Cell::int($row->golfer_id)][Cell::text($row->scope)] = Carbon::parse(Cell::text($row->until));
        }

        return $out;
    }
}
