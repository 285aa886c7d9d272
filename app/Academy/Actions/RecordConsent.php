<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\ConsentPapers;
use App\Academy\Events\GolferChanged;
use App\Exceptions\ActionException;
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
     * @param  non-empty-list<Scope>  $scopes
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
    ): void {
        if ($golfer->mayBeMinor() && $guardian === null) {
            throw ActionException::because('refusals.academy.guardian-wanted', ['golfer' => $golfer->pseudonym]);
        }
        DB::transaction(function () use ($golfer, $scopes, $given, $expires, $guardian, $paper, $by): void {
            $kept = $paper === null ? null : $this->papers->keep($golfer, $paper);
            foreach ($scopes as $scope) {
                Consent::query()->create([
                    'golfer_id' => $golfer->id,
                    'scope' => $scope,
                    'given_on' => $given->toDateString(),
                    'expires_on' => $expires->toDateString(),
                    'guardian' => $guardian,
                    'paper_id' => $kept?->id,
                ]);
            }
            event(new GolferChanged($golfer, 'consent-recorded', $by, [
                'scopes' => implode(', ', array_map(static fn (Scope $s): string => $s->value, $scopes)),
                'until' => $expires->toDateString(),
                'paper' => $kept !== null,
            ]));
        });
    }
}
