<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Panel\ScoredBy;
use Core\Reading\Presence;

/** What a ruling would mean for rounds that are published: told before it is made; they keep the version they used. */
final readonly class RulingEffects
{
    public function __construct(private ScoredBy $scored)
    {
    }

    /**
     * @param  list<KeyEntry>  $entries  of one key, not ruled on
     * @return array<int, list<string>> a line for each round that has the case, by entry
     */
    public function of(?KeyVersion $key, array $entries): array
    {
        $out = [];
        foreach ($key?->frozen_at === null || $entries === [] ? [] : $this->scored->published($key, $entries) as $said) {
            foreach ($entries as $entry) {
                $n = $said['calls']["$entry->case_id|$entry->fault"] ?? [];
                $present = $n[Presence::Present->value] ?? 0;
                $absent = $n[Presence::Absent->value] ?? 0;
                if ($present + $absent > 0) {
                    $out[$entry->id][] = (string) __('panel.effect', [
                        'round' => $said['round'],
                        'present' => $present,
                        'absent' => $absent,
                        'of' => $present + $absent,
                    ]);
                }
            }
        }

        return $out;
    }
}
