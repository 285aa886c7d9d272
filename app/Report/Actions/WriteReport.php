<?php

declare(strict_types=1);

namespace App\Report\Actions;

use App\Exceptions\ActionException;
use App\Models\RoundReport;
use App\Models\Sitting;
use App\Models\User;
use App\Report\Events\ReportWritten;
use Illuminate\Support\Facades\DB;

/** Keeps what the head coach says in a round's report; who began from an older text is told so, and loses nothing. */
final readonly class WriteReport
{
    /**
     * @param  array{purpose: string, readers: string, meaning: string}  $words
     * @param  int  $from  the revision they were written over
     *
     * @throws ActionException
     */
    public function __invoke(Sitting $round, array $words, int $from, User $by): RoundReport
    {
        return DB::transaction(function () use ($round, $words, $from, $by): RoundReport {
            // The round's row is the lock: of a first text there is none yet.
            Sitting::query()->lockForUpdate()->findOrFail($round->id);
            $kept = RoundReport::of($round);
            if ([$kept->purpose, $kept->readers, $kept->meaning] === array_values($words)) {
                return $kept;
            }
            if ($kept->revision !== $from) {
                throw ActionException::because('refusals.report.changed-meanwhile', [], ActionException::CONFLICT);
            }
            $kept->fill([
                ...$words,
                'revision' => $from + 1,
                'written_by' => $by->id,
                'written_at' => now(),
            ])->save();
            event(new ReportWritten($round, $by));

            return $kept;
        });
    }
}
