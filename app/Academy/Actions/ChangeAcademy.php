<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\AcademyChanged;
use App\Models\Academy;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Changes the academy's name, the zone of its days, and what stands at the head of its letters. */
final readonly class ChangeAcademy
{
    public function __invoke(string $name, string $zone, ?string $letterhead, User $by): void
    {
        DB::transaction(static function () use ($name, $zone, $letterhead, $by): void {
            $academy = Academy::query()->lockForUpdate()->findOrFail(Academy::ID);
            $before = $academy->only(['name', 'zone', 'letterhead']);
            $academy->fill(compact('name', 'zone', 'letterhead'));
            if (! $academy->isDirty()) {
                return;
            }
            $academy->save();
            event(new AcademyChanged('academy-changed', $by, [
                'before' => $before,
                'after' => $academy->only(['name', 'zone', 'letterhead']),
            ]));
        });
    }
}
