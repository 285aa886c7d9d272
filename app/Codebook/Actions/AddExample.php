<?php

declare(strict_types=1);

namespace App\Codebook\Actions;

use App\Codebook\Events\ExampleAdded;
use App\Exceptions\ActionException;
use App\Models\CodebookExample;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\User;
use Core\Sight\Scope;
use Illuminate\Support\Facades\DB;

/** Puts a recording beside a fault in the codebook: with consent for teaching material, and none that is kept back. */
final readonly class AddExample
{
    /** @throws ActionException in one sentence */
    public function __invoke(string $fault, Recording $recording, bool $shows, string $note, User $by): CodebookExample
    {
        return DB::transaction(static function () use ($fault, $recording, $shows, $note, $by): CodebookExample {
            $recording = Recording::query()->lockForUpdate()->findOrFail($recording->id);
            $isKept = DB::table('sitting_cases')
                ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
                ->where('case_swings.recording_id', $recording->id)
                ->where('sitting_cases.reserved', true)
                ->exists();
            // Whoever still reads it blind would find it in the codebook, with the answer.
            $isRead = DB::table('sitting_cases')
                ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
                ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
                ->where('case_swings.recording_id', $recording->id)
                ->whereIn('sittings.state', ['open', 'closed'])
                ->where('sittings.kind', 'round')
                ->exists();
            $refused = match (true) {
                $recording->erased_at !== null => 'example-erased',
                Golfer::query()->whereKey($recording->golfer_id)->consenting(Scope::TeachingMaterial)->doesntExist() => 'example-no-consent',
                $isKept => 'example-kept',
                $isRead => 'example-read',
                default => null,
            };
            if ($refused !== null) {
                throw ActionException::because("refusals.codebook.$refused");
            }
            $example = CodebookExample::query()->updateOrCreate(
                ['fault' => $fault, 'recording_id' => $recording->id],
                ['shows' => $shows, 'note' => $note, 'added_by' => $by->id],
            );
            event(new ExampleAdded($example, $by));

            return $example;
        });
    }
}
