<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Codebook\Codebooks;
use App\Models\CheckPlan;
use App\Models\KeyEntry;
use App\Models\Reading;
use Core\Agreement\Profile\StaffWatch;
use Core\Reading\Presence;
use Core\Sight\SittingState;

/**
 * What was said in the weekly checks that are over, case by case in the order of the weeks: of each question whether
 * each reader was right, and said "present".
 *
 * @phpstan-import-type Question from StaffWatch
 */
final readonly class CheckUnits
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @return list<list<Question>> */
    public function of(CheckPlan $plan): array
    {
        $labels = self::labels($plan);
        $out = [];
        foreach ($plan->checks()->with('sitting')->get() as $check) {
            if ($check->sitting->state !== SittingState::Closed) {
                continue;
            }
            $readings = $check->sitting->readings()
                ->whereNotNull('handed_in_at')
                ->where('readings.exposed', false)
                ->whereNull('sitting_cases.withdrawn_at')
                ->with(['arm', 'calls', 'case.recording.films'])
                ->orderBy('readings.sitting_case_id')
                ->orderBy('readings.user_id')
                ->get();
            foreach ($readings->groupBy('sitting_case_id') as $of) {
                $out[] = self::questions(array_values($of->all()), $this->asked($of->firstOrFail(), $labels, $plan));
            }
        }

        return $out;
    }

    /** @return array<int, array<string, string>> what the key says, by case and fault */
    private static function labels(CheckPlan $plan): array
    {
        $labels = [];
        foreach (KeyEntry::query()
            ->where('key_version_id', $plan->key_version_id)
            ->whereIn('case_id', $plan->cases)
            ->orderBy('id')
            ->get() as $entry) {
            $label = $entry->scoredLabel();
            if ($label !== null) {
                $labels[$entry->case_id][$entry->fault] = $label;
            }
        }

        return $labels;
    }

    /**
     * @param  array<int, array<string, string>>  $labels
     * @return array<string, string> what the key says of each fault that could be seen
     */
    private function asked(Reading $reading, array $labels, CheckPlan $plan): array
    {
        $codebook = $this->codebooks->of($plan->keyVersion->sitting);
        $shown = $reading->case->shown($reading->arm);

        return array_filter(
            $labels[$reading->case->case_id] ?? [],
            static fn (string $fault): bool => ($codebook->faults[$fault] ?? null)
                ?->observability($shown)->supports() === true,
            ARRAY_FILTER_USE_KEY,
        );
    }

    /**
     * @param  list<Reading>  $readings  of one case
     * @param  array<string, string>  $asked
     * @return list<Question>
     */
    private static function questions(array $readings, array $asked): array
    {
        $out = [];
        foreach ($asked as $fault => $label) {
            $said = [];
            foreach ($readings as $reading) {
                $presence = $reading->calls->firstWhere('fault', $fault)?->presence;
                if ($presence !== null) {
                    $said[$reading->user_id] = [
                        $presence->value === $label ? 1.0 : 0.0,
                        $presence === Presence::Present ? 1.0 : 0.0,
                    ];
                }
            }
            $out[] = $said;
        }

        return $out;
    }
}
