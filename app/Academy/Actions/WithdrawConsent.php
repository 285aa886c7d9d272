<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\GolferChanged;
use App\Models\Consent;
use App\Models\Golfer;
use App\Models\PendingImport;
use App\Models\User;
use Core\Sight\Scope;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Takes what was agreed to back, from this moment on. Everything asks Core\Sight at every request, so nothing has to be
 * gone through: pages, rounds under way and files stop showing the swings at once. What was said of them stays
 * as counts.
 */
final readonly class WithdrawConsent
{
    /** @param  non-empty-list<Scope>  $scopes */
    public function __invoke(Golfer $golfer, array $scopes, User $by): int
    {
        return DB::transaction(function () use ($golfer, $scopes, $by): int {
            $n = Consent::query()
                ->where('golfer_id', $golfer->id)
                ->whereIn('scope', $scopes)
                ->whereNull('withdrawn_at')
                ->update(['withdrawn_at' => now()]);
            if ($n > 0) {
                event(new GolferChanged($golfer, 'consent-withdrawn', $by, [
                    'scopes' => implode(', ', array_map(static fn (Scope $s): string => $s->value, $scopes)),
                ]));
                $this->dropImports($golfer);
            }

            return $n;
        });
    }

    /** What was laid aside on its way to the Shelf goes, where no use of it is left. */
    private function dropImports(Golfer $golfer): void
    {
        $golfer->load('consents');
        if ($golfer->consentsTo(Scope::Lessons, Scope::StaffTraining)) {
            return;
        }
        foreach (PendingImport::query()->where('golfer_id', $golfer->id)->get() as $import) {
            $files = array_filter([$import->path, $import->meta_path], is_string(...));
            DB::afterCommit(static fn () => Storage::disk('imports')->delete($files));
            $import->delete();
        }
    }
}
