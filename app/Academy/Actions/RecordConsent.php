<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\ConsentPapers;
use App\Academy\Events\GolferChanged;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\Consent;
use App\Models\Golfer;
use App\Models\User;
use Core\Sight\Scope;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Writes down what a golfer, or a guardian, has agreed to: one entry a scope, from a day until a day. */
final readonly class RecordConsent
{
    public function __construct(private ConsentPapers $papers)
    {
    }

    /**
     * The same for several golfers; minors are left out, since each needs a guardian's word of their own.
     *
     * @param  list<int>  $ids
     * @param  non-empty-list<Scope>  $scopes
     * @return array{consents: list<int>, golfers: int, left: list<string>} what was recorded, and who was left out
     */
    public function several(array $ids, array $scopes, Carbon $given, Carbon $expires, User $by): array
    {
        return DB::transaction(function () use ($ids, $scopes, $given, $expires, $by): array {
            $left = $consents = [];
            $n = 0;
            foreach (Golfer::query()->whereKey($ids)->whereNull('erased_at')->orderBy('id')->get() as $golfer) {
                if ($golfer->mayBeMinor()) {
                    $left[] = $golfer->pseudonym;
                } else {
                    array_push($consents, ...($this)($golfer, $scopes, $given, $expires, null, null, $by));
                    $n++;
                }
            }

            return ['consents' => $consents, 'golfers' => $n, 'left' => $left];
        });
    }

    /**
     * Takes back what was recorded within the minute, as if it had not been.
     *
     * @param  array<array-key, mixed>  $ids  of consents
     */
    public function back(array $ids, User $by): void
    {
        DB::transaction(static function () use ($ids, $by): void {
            $consents = Consent::query()->whereKey(array_map(Cell::int(...), $ids))->whereNull('withdrawn_at');
            foreach (Golfer::query()->whereKey((clone $consents)->pluck('golfer_id'))->get() as $golfer) {
                event(new GolferChanged($golfer, 'consent-unrecorded', $by));
            }
            $consents->delete();
        });
    }

    /**
     * @param  non-empty-list<Scope>  $scopes
     * @return list<int> what was recorded
     *
     * @throws ActionException
     */
    public function __invoke(
        Golfer $golfer,
        array $scopes,
        Carbon $given,
        Carbon $expires,
        ?string $guardian,
        ?UploadedFile $paper,
        User $by,
    ): array {
        if ($golfer->mayBeMinor() && $guardian === null) {
            throw ActionException::because('refusals.academy.guardian-wanted', ['golfer' => $golfer->pseudonym]);
        }

        return DB::transaction(function () use ($golfer, $scopes, $given, $expires, $guardian, $paper, $by): array {
            $ids = [];
            $kept = $paper === null ? null : $this->papers->keep($golfer, $paper);
            foreach ($scopes as $scope) {
                $ids[] = Consent::query()->create([
                    'golfer_id' => $golfer->id,
                    'scope' => $scope,
                    'given_on' => $given->toDateString(),
                    'expires_on' => $expires->toDateString(),
                    'guardian' => $guardian,
                    'paper_id' => $kept?->id,
                ])->id;
            }
            event(new GolferChanged($golfer, 'consent-recorded', $by, [
                'scopes' => implode(', ', array_map(static fn (Scope $s): string => $s->value, $scopes)),
                'until' => $expires->toDateString(),
                'paper' => $kept !== null,
            ]));

            return $ids;
        });
    }
}
