<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\Letters;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Ends a second factor: one's own, or that of somebody who has lost the device and the recovery codes. */
final readonly class DropFactor
{
    public function __construct(private Letters $letters)
    {
    }

    public function __invoke(User $person, User $by): void
    {
        DB::transaction(function () use ($person, $by): void {
            $person
                ->forceFill([
                    'factor_secret' => null,
                    'factor_since' => null,
                    'factor_step' => null,
                    'recovery_codes' => null,
                ])
                ->save();
            $this->letters->send('factor-dropped', $person->email, $person);
            event(new PersonChanged($person, 'factor-dropped', $by));
        });
    }
}
