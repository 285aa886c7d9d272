<?php

declare(strict_types=1);

namespace App\Panel;

use App\Models\Reading;
use App\Models\Sitting;
use Core\Reading\Presence;
use Core\Reading\Reading as CoreReading;
use Core\Reading\Stage;

/** The whole sheets of a panel, of those that could say all that a key of a case is made from. */
final class PanelSheets
{
    /** @return array<int, list<CoreReading>> by place; what was said of a repeat does not count a second time */
    public static function ofPanel(Sitting $panel): array
    {
        $out = [];
        $places = $panel->cases()->where('occasion', 1)->orderBy('id')->pluck('id');
        foreach ($places->chunk(50) as $some) {
            $readings = Reading::query()
                ->whereIn('sitting_case_id', $some)
                ->where('stage', Stage::Blind)
                ->whereNotNull('handed_in_at')
                ->where('sheet', '>=', Reading::CODED)
                // What is neither there nor sound says nothing of what to do.
                ->with(['calls' => static fn ($q) => $q->where(static fn ($or) => $or
                    ->where('presence', Presence::Present)->orWhere('sound', true))])
                ->orderBy('id')
                ->get();
            foreach ($readings as $reading) {
                $out[$reading->sitting_case_id][] = $reading->toCore();
            }
        }

        return $out;
    }
}
