<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Models\Academy;
use App\Models\Erasure;
use App\Models\User;
use App\Operations\Events\RetentionKept;
use App\Operations\Retention;
use App\Shelf\Actions\EraseRecording;
use Illuminate\Support\Facades\DB;

/** Sets the academy's rules of how long things are held, and does what they say: only what the dry run has listed. */
final readonly class KeepToRetention
{
    public function __construct(private Retention $retention, private EraseRecording $erase)
    {
    }

    public function rules(?int $consentDays, ?int $filmDays, User $by): void
    {
        DB::transaction(static function () use ($consentDays, $filmDays, $by): void {
            $academy = Academy::query()->lockForUpdate()->findOrFail(Academy::ID);
            $fields = ['erase_after_consent_days', 'erase_film_after_days'];
            $before = $academy->only($fields);
            $academy->fill(['erase_after_consent_days' => $consentDays, 'erase_film_after_days' => $filmDays])->save();
            event(new RetentionKept('retention-rules', $by, ['before' => $before, 'after' => $academy->only($fields)]));
        });
    }

    /**
     * @param  list<int>  $swings  as they were listed
     * @param  list<int>  $films
     */
    public function __invoke(array $swings, array $films, User $by): Erasure
    {
        return DB::transaction(function () use ($swings, $films, $by): Erasure {
            $academy = Academy::query()->lockForUpdate()->findOrFail(Academy::ID);
            $counts = ['swings' => 0, 'films' => 0];
            foreach ($this->retention->films($academy)->whereIn('id', $films) as $film) {
                $film->delete();
                $counts['films']++;
            }
            foreach ($this->retention->swings($academy)->whereIn('id', $swings) as $recording) {
                ($this->erase)($recording, $by);
                $counts['swings']++;
            }
            $receipt = Erasure::query()->create([
                'subject' => 'academy', 'why' => 'retention', 'user_id' => $by->id, 'counts' => $counts,
            ]);
            event(new RetentionKept('retention', $by, ['receipt' => $receipt->public_id, ...$counts]));

            return $receipt;
        });
    }
}
