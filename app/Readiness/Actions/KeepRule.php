<?php

declare(strict_types=1);

namespace App\Readiness\Actions;

use App\Exceptions\ActionException;
use App\Models\ReadinessRule;
use App\Models\User;
use App\Readiness\Events\ReadinessChanged;
use Core\Format\Json\ReadinessJson;
use Core\Trace\DeviceClass;
use Core\Training\ReadinessRule as CoreRule;
use Illuminate\Support\Facades\DB;

/** Makes a rule, or its next version: the one before stays as it was, with all that was decided by it. */
final readonly class KeepRule
{
    /** @throws ActionException where a newer version was made meanwhile, or nothing differs */
    public function __invoke(
        string $name,
        ?DeviceClass $device,
        string $lens,
        CoreRule $rule,
        User $by,
        ?ReadinessRule $before = null,
    ): ReadinessRule {
        return DB::transaction(static function () use ($name, $device, $lens, $rule, $by, $before): ReadinessRule {
            if ($before !== null) {
                $before = ReadinessRule::query()->lockForUpdate()->findOrFail($before->id);
                if ($before->retired_at !== null) {
                    throw ActionException::because('refusals.readiness.rule-old', [], ActionException::CONFLICT);
                }
                $before->update(['retired_at' => now()]);
            }
            $kept = ReadinessRule::query()->create([
                'first_id' => $before?->line(),
                'version' => ($before->version ?? 0) + 1,
                'name' => $name,
                'device' => $device,
                'lens' => $lens,
                'rule' => ReadinessJson::write($rule),
                'made_by' => $by->id,
            ]);
            event(new ReadinessChanged('rule', ['rule' => $kept->id, 'version' => $kept->version], $by));

            return $kept;
        });
    }

    public function retire(ReadinessRule $rule, User $by): void
    {
        DB::transaction(static function () use ($rule, $by): void {
            $done = ReadinessRule::query()
                ->whereKey($rule->id)
                ->whereNull('retired_at')
                ->update(['retired_at' => now()]);
            if ($done > 0) {
                event(new ReadinessChanged('retired', ['rule' => $rule->id], $by));
            }
        });
    }
}
