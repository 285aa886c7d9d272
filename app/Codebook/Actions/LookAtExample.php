<?php

declare(strict_types=1);

namespace App\Codebook\Actions;

use App\Models\CodebookExample;
use App\Models\Exposure;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Notes that somebody took up an example: who has seen an answer reads that swing blind no more. */
final readonly class LookAtExample
{
    public function __invoke(CodebookExample $example, User $by): void
    {
        DB::transaction(static function () use ($example, $by): void {
            // One entry a person, however often and from however many windows it is looked at.
            User::query()->lockForUpdate()->findOrFail($by->id);
            Exposure::query()->firstOrCreate(
                ['user_id' => $by->id, 'recording_id' => $example->recording_id, 'what' => 'key', 'sitting_id' => null],
                ['shown_at' => now()],
            );
        });
    }
}
