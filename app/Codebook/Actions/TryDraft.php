<?php

declare(strict_types=1);

namespace App\Codebook\Actions;

use App\Codebook\Codebooks;
use App\Codebook\Flips;
use App\Models\CodebookDraft;
use App\Models\CodebookFlip;
use App\Models\Enums\WorkKind;
use App\Models\Recording;
use App\Models\User;
use App\Models\Work;
use App\Works\Progress;
use App\Works\Works;
use Illuminate\Support\Facades\DB;

/** Judges every recording by the draft beside the codebook that holds, and keeps what would turn. */
final readonly class TryDraft
{
    private const AT_ONCE = 40;

    public function __construct(private Works $works, private Codebooks $codebooks)
    {
    }

    public function __invoke(CodebookDraft $draft, User $by): Work
    {
        return $this->works->ask(WorkKind::Try, $draft, $by);
    }

    /** Safe to run twice: what was found before goes with what is found now. */
    public function carryOut(CodebookDraft $draft, Progress $progress): void
    {
        $flips = new Flips($this->codebooks->document(), $draft->codebook());
        $total = max(1, Recording::query()->whereNull('erased_at')->count());
        $rows = [];
        $judged = $seen = 0;
        Recording::query()
            ->whereNull('erased_at')
            ->with(['measured', 'stations'])
            ->chunkById(self::AT_ONCE, static function ($some) use ($flips, $draft, $progress, $total, &$rows, &$judged, &$seen): void {
                /** @var Recording $recording */
                foreach ($some as $recording) {
                    $found = $flips->of($recording);
                    $judged += $found === null ? 0 : 1;
                    foreach ($found ?? [] as $flip) {
                        $rows[] = [
                            ...$flip,
                            'codebook_draft_id' => $draft->id,
                            'recording_id' => $recording->id,
                            'was' => $flip['was']?->value,
                            'is' => $flip['is']?->value,
                        ];
                    }
                    $progress->tell(++$seen / $total);
                }
            });
        DB::transaction(static function () use ($draft, $progress, $rows, $judged): void {
            $progress->claim();
            CodebookFlip::query()->where('codebook_draft_id', $draft->id)->delete();
            foreach (array_chunk($rows, 500) as $chunk) {
                CodebookFlip::query()->insert($chunk);
            }
            CodebookDraft::query()->whereKey($draft->id)->update([
                'tried_revision' => $draft->revision,
                'tried_recordings' => $judged,
            ]);
        });
    }
}
