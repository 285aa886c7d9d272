<?php

declare(strict_types=1);

namespace App\Panel;

use App\Models\Reading;
use App\Models\Sitting;
use Core\Reading\Presence;
use Core\Reading\Reading as CoreReading;
use Core\Reading\Stage;

/** The sheets of a panel's blind round: whole, of those that could say all a key of a case is made from; a member's. */
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

    /** @return array<int, Reading> a member's sheets of the blind round, by case */
    public static function ofMember(Sitting $panel, int $user): array
    {
        $out = [];
        $readings = Reading::query()
            ->where('user_id', $user)
            ->where('stage', Stage::Blind)
            ->whereNotNull('handed_in_at')
            ->whereIn('sitting_case_id', $panel->cases()->where('occasion', 1)->whereNull('withdrawn_at')->select('id'))
            ->with(['case.sitting', 'case.swings', 'arm'])
            ->orderBy('id')
            ->get();
        foreach ($readings as $reading) {
            $out[$reading->case->case_id] = $reading;
        }

        return $out;
    }
}
