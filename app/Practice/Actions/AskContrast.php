<?php

declare(strict_types=1);

namespace App\Practice\Actions;

use App\Exceptions\ActionException;
use App\Models\ContrastSet;
use App\Models\Enums\WorkKind;
use App\Models\User;
use App\Works\Works;
use Core\Simulation\ContrastSet as Spec;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Asks for a contrast set: one that was made before, for whomever, is at hand; another is made by the queue. */
final readonly class AskContrast
{
    /** So many new ones may one person ask for in a day. */
    private const A_DAY = 60;

    public function __construct(private Works $works)
    {
    }

    /** @throws ActionException where this person has asked for very many today */
    public function __invoke(Spec $spec, User $by): ContrastSet
    {
        $set = $this->written($spec, $by);
        if ($set->made_at === null) {
            $this->works->ask(WorkKind::Contrast, $set, $by);
        }

        return $set;
    }

    /**
     * The set itself, without the work of making it.
     *
     * @throws ActionException where this person has asked for very many today
     */
    public function written(Spec $spec, User $by): ContrastSet
    {
        return DB::transaction(static function () use ($spec, $by): ContrastSet {
            $key = $spec->key();
            $known = ContrastSet::query()->where('key', $key)->first();
            if ($known !== null) {
                return $known;
            }
            User::query()->lockForUpdate()->findOrFail($by->id);
            $asked = ContrastSet::query()
                ->where('asked_by', $by->id)
                ->where('created_at', '>', Carbon::now()->subDay())
                ->count();
            if ($asked >= self::A_DAY) {
                throw ActionException::because('refusals.practice.many-sets', ['count' => self::A_DAY]);
            }
            DB::table('contrast_sets')->insertOrIgnore([
                'public_id' => strtolower((new ContrastSet)->newUniqueId()),
                'key' => $key,
                'kind' => $spec->kind->value,
                'fault' => $spec->fault,
                'other' => $spec->other,
                'mishap' => $spec->mishap,
                'device' => $spec->device->value,
                'hand' => $spec->hand->value,
                'lens' => $spec->lens,
                'body' => $spec->body,
                'asked_by' => $by->id,
                'created_at' => Carbon::now(),
                'updated_at' => Carbon::now(),
            ]);

            return ContrastSet::query()->where('key', $key)->firstOrFail();
        });
    }
}
