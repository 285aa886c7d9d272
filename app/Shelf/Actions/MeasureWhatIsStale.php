<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Codebook\Codebooks;
use App\Models\Enums\WorkKind;
use App\Models\Recording;
use App\Models\Work;
use App\Works\Works;
use Core\Version;

/** Asks for the measuring of recordings that are not measured, or were by another core or codebook: no page does it. */
final readonly class MeasureWhatIsStale
{
    private const AT_ONCE = 50;

    public function __construct(private Works $works, private Codebooks $codebooks)
    {
    }

    /** @return int how many were asked for */
    public function __invoke(): int
    {
        $version = $this->codebooks->document()->version();
        /** @var list<Recording> $stale */
        $stale = Recording::query()
            ->whereNull('erased_at')
            ->whereDoesntHave(
                'measured',
                static fn ($q) => $q
                    ->where('core_version', Version::CURRENT)
                    ->where('codebook_version', $version)
                    ->whereNotNull('held'),
            )
            ->whereNotIn(
                'id',
                Work::query()
                    ->where('kind', WorkKind::Measure)
                    ->where('created_at', '>', now()->subHour())
                    ->select('recording_id'),
            )
            ->orderBy('id')
            ->limit(self::AT_ONCE)
            ->get()
            ->all();
        foreach ($stale as $recording) {
            $this->works->ask(WorkKind::Measure, $recording, null);
        }

        return count($stale);
    }
}
