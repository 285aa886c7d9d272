<?php

declare(strict_types=1);

namespace App\Undo;

use App\Exceptions\ActionException;
use App\Models\Undo;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** What can be taken back for a minute: whoever did it is offered to, and nobody else. */
final readonly class Undos
{
    private const SECONDS = 60;

    /** In the session: what the next page offers to take back. */
    public const OFFERED = 'undo';

    /**
     * @param  array<string, callable(array<array-key, mixed>, User): void>  $doers  by kind: what puts back what
     * stood there
     */
    public function __construct(private array $doers)
    {
    }

    /** @param  array<array-key, mixed>  $payload  what stood there */
    public function offer(User $user, string $kind, array $payload): void
    {
        Undo::query()->where('expires_at', '<', now()->subDay())->delete();
        $undo = Undo::query()->create([
            'user_id' => $user->id,
            'kind' => $kind,
            'payload' => $payload,
            'expires_at' => now()->addSeconds(self::SECONDS),
        ]);
        if (request()->hasSession()) {
            request()->session()->flash(self::OFFERED, $undo->public_id);
        }
    }

    /** @throws ActionException when the minute is over, it was taken back, or things have changed since */
    public function takeBack(Undo $undo, User $user): void
    {
        DB::transaction(function () use ($undo, $user): void {
            $undo = Undo::query()->lockForUpdate()->findOrFail($undo->id);
            if ($undo->used_at !== null || $undo->expires_at->isPast()) {
                throw ActionException::because('refusals.undo.over');
            }
            ($this->doers[$undo->kind] ?? throw ActionException::because('refusals.undo.over'))($undo->payload, $user);
            $undo->update(['used_at' => now()]);
        });
    }
}
