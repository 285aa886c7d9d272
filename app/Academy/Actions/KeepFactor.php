<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\PersonChanged;
use App\Academy\OneTimeCode;
use App\Academy\RecoveryCodes;
use App\Exceptions\ActionException;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Takes a second factor up once a code of it has been right, and tells the recovery codes this once. */
final readonly class KeepFactor
{
    /**
     * @param  string  $secret  as base 32
     * @return list<string> the recovery codes
     *
     * @throws ActionException
     */
    public function __invoke(User $person, string $secret, string $code): array
    {
        $step = OneTimeCode::step($secret, $code, now()->getTimestamp());
        if ($step === null) {
            throw ActionException::because('refusals.academy.code-wrong');
        }

        return DB::transaction(static function () use ($person, $secret, $step): array {
            $codes = RecoveryCodes::fresh();
            $person
                ->forceFill([
                    'factor_secret' => $secret,
                    'factor_since' => now(),
                    'factor_step' => $step,
                    'recovery_codes' => RecoveryCodes::hashes($codes),
                ])
                ->save();
            event(new PersonChanged($person, 'factor-kept', $person));

            return $codes;
        });
    }

    /**
     * Others in place of those told before.
     *
     * @return list<string>
     */
    public function recovery(User $person): array
    {
        return DB::transaction(static function () use ($person): array {
            $codes = RecoveryCodes::fresh();
            $person->forceFill(['recovery_codes' => RecoveryCodes::hashes($codes)])->save();
            event(new PersonChanged($person, 'recovery-codes', $person));

            return $codes;
        });
    }
}
