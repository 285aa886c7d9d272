<?php

declare(strict_types=1);

namespace App\Operations\Pages;

use App\Models\Academy;
use App\Models\AuditEntry;
use App\Models\Erasure;
use App\Models\Film;
use App\Models\Recording;
use App\Operations\BackupStore;
use App\Operations\Retention;
use Illuminate\Support\Carbon;

/** What would go by the academy's rules, what has gone, and the receipt of each. */
final readonly class ErasurePage
{
    public function __construct(private Retention $retention, private BackupStore $store)
    {
    }

    /** @return array<string, mixed> */
    public function of(Academy $academy): array
    {
        return [
            'academy' => $academy,
            'swings' => array_values($this->retention->swings($academy)->map(static fn (Recording $r): array => [
                'id' => $r->id,
                'name' => "{$r->golfer->pseudonym}, $r->club",
                'day' => $r->created_at->timezone(Academy::zone())->format('j M Y'),
            ])->all()),
            'films' => array_values($this->retention->films($academy)->map(static fn (Film $f): array => [
                'id' => $f->id,
                'name' => "{$f->recording->golfer->pseudonym}, {$f->recording->club}, ".__("views.$f->view"),
                'day' => $f->created_at->timezone(Academy::zone())->format('j M Y'),
            ])->all()),
            'receipts' => array_values(Erasure::query()->orderByDesc('id')->limit(50)->get()
                ->map(static fn (Erasure $e): array => [
                    'url' => route('erasures.show', $e),
                    'says' => (string) __("erasure.why.$e->why"),
                    'day' => $e->created_at->timezone(Academy::zone())->format('j M Y, H:i'),
                ])->all()),
        ];
    }

    /** @return array<string, mixed> */
    public function receipt(Erasure $erasure): array
    {
        $erasure->loadMissing('user');
        $lines = [];
        foreach (['swings', 'films', 'papers', 'imports', 'left'] as $what) {
            $n = $erasure->counts[$what] ?? 0;
            if ($n > 0) {
                $lines[] = trans_choice("erasure.counts.$what", $n, ['count' => $n]);
            }
        }

        return [
            'academy' => Academy::here(),
            'number' => $erasure->public_id,
            'at' => $erasure->created_at->timezone(Academy::zone())->format('j F Y, H:i'),
            'by' => $erasure->user->name ?? '',
            'why' => (string) __("erasure.why.$erasure->why"),
            'houses' => $this->houses($erasure),
            'backups' => $this->backups($erasure),
            'lines' => $lines === [] ? [(string) __('erasure.counts.nothing')] : $lines,
        ];
    }

    /** What backups hold of it still. */
    private function backups(Erasure $erasure): string
    {
        $before = array_filter(
            $this->store->dates(),
            static fn (Carbon $made): bool => $made->lte($erasure->created_at),
        );

        return trans_choice('erasure.backups', count($before), [
            'count' => count($before),
            'days' => implode(', ', array_unique(array_map(
                static fn (Carbon $made): string => $made->timezone(Academy::zone())->format('j M Y'),
                $before,
            ))),
        ]);
    }

    /** Days on which archives of the whole academy were made before: they hold what was erased. */
    private function houses(Erasure $erasure): string
    {
        return AuditEntry::query()
            ->where('action', 'house-packed')
            ->where('created_at', '<=', $erasure->created_at)
            ->orderBy('id')
            ->get()
            ->map(static fn (AuditEntry $e): string => $e->created_at->timezone(Academy::zone())->format('j M Y'))
            ->unique()
            ->implode(', ');
    }
}
