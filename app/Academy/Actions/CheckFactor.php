<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\OneTimeCode;
use App\Academy\RecoveryCodes;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Whether a code of the second factor, or one of the recovery codes, is right. Each is taken once. */
final readonly class CheckFactor
{
    public function __invoke(User $person, string $code): bool
    {
        return DB::transaction(static function () use ($person, $code): bool {
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            if ($person->factor_secret === null) {
                return false;
            }
            $step = OneTimeCode::step($person->factor_secret, $code, now()->getTimestamp(), $person->factor_step);
            if ($step !== null) {
                $person->forceFill(['factor_step' => $step])->save();

                return true;
            }
            $left = RecoveryCodes::without($person->recovery_codes ?? [], $code);
            if ($left === null) {
                return false;
            }
            $person->forceFill(['recovery_codes' => $left])->save();
            event(new PersonChanged($person, 'recovery-code-used', $person, ['left' => count($left)]));

            return true;
        });
    }
}
