<?php

declare(strict_types=1);

namespace App\Academy;

use App\Exceptions\ActionException;
use Illuminate\Database\Eloquent\Model;

/** Tells the second of two who change one thing that the first has: a form says as of when it saw what it shows. */
final class SeenAs
{
    public static function of(Model $model): string
    {
        $at = $model->getAttribute('updated_at');

        return $at instanceof \DateTimeInterface ? $at->format('U') : '';
    }

    /** @throws ActionException where it was changed since; a form that says nothing is taken as it is */
    public static function still(Model $model, ?string $seen): void
    {
        if ($seen !== null && $seen !== '' && $seen !== self::of($model)) {
            throw ActionException::because('refusals.academy.changed-meanwhile', [], ActionException::CONFLICT);
        }
    }
}
