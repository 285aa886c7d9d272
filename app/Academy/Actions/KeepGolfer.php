<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\GolferChanged;
use App\Academy\SeenAs;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\Golfer;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Takes a golfer up, or changes what is known of one. The real name is kept elsewhere, never here. */
final readonly class KeepGolfer
{
    /**
     * @param  array{pseudonym: string, handedness: string, height_cm: ?int, mass_kg: ?float, born_year: ?int,
     *     is_minor: bool, limits: ?string, notes: ?string, level: ?string}  $facts
     * @param  ?string  $seen  as of when the form was made
     *
     * @throws ActionException
     */
    public function __invoke(?Golfer $golfer, array $facts, User $by, ?string $seen = null): Golfer
    {
        return DB::transaction(function () use ($golfer, $facts, $by, $seen): Golfer {
            $golfer = $golfer === null ? new Golfer() : Golfer::query()->lockForUpdate()->findOrFail($golfer->id);
            SeenAs::still($golfer, $seen);
            $this->mayBeCalled($facts['pseudonym'], $golfer);
            $turned = $golfer->exists && $golfer->handedness !== $facts['handedness'];
            if ($turned && $golfer->recordings()->exists()) {
                throw ActionException::because('refusals.academy.swings-of-other-hand', [
                    'golfer' => $golfer->pseudonym,
                    'hand' => $golfer->handedness,
                ]);
            }
            $before = $golfer->only(array_keys($facts));
            $golfer->fill($facts);
            if (! $golfer->isDirty()) {
                return $golfer;
            }
            $fields = array_keys($golfer->getDirty());
            $isNew = ! $golfer->exists;
            $golfer->save();
            $of = static fn (array $values): array => array_intersect_key($values, array_flip($fields));
            event(new GolferChanged(
                $golfer,
                $isNew ? 'golfer-taken-up' : 'golfer-changed',
                $by,
                $isNew ? [] : ['fields' => implode(', ', $fields)],
                $isNew ? $of($facts) : ['before' => $of($before), 'after' => $of($facts)],
            ));

            return $golfer;
        });
    }

    /**
     * A pseudonym is one golfer's, and no name of somebody who works here.
     *
     * @throws ActionException
     */
    private function mayBeCalled(string $pseudonym, Golfer $golfer): void
    {
        $said = mb_strtolower($pseudonym);
        if (Golfer::query()->whereRaw('lower(pseudonym) = ?', [$said])->whereKeyNot($golfer->id ?? 0)->exists()) {
            throw ActionException::because('refusals.academy.pseudonym-taken', ['pseudonym' => $pseudonym]);
        }
        foreach (User::query()->pluck('name') as $name) {
            $whole = mb_strtolower(Cell::text($name));
            if (in_array($said, [$whole, ...explode(' ', $whole)], true)) {
                throw ActionException::because('refusals.academy.pseudonym-is-a-name', ['pseudonym' => $pseudonym]);
            }
        }
    }
}
