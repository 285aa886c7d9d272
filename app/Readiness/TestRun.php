<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\Enums\TestState;
use App\Models\KeyEntry;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use Core\Planning\SignOff;
use Core\Sight\Scope;
use Core\Training\Criterion;
use Core\Training\TestCourse;
use Illuminate\Database\Eloquent\Collection;

/** How a test stands: from what was handed in so far and the key it is held against, and from nothing else. */
final readonly class TestRun
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    public function of(ReadinessTest $test): TestCourse
    {
        $rule = $test->rule->toCore();
        $read = [];
        foreach ($this->read($test) as [$is, $said]) {
            $read[] = array_map(static fn (Criterion $c): array => $c->counted($is, $said), $rule->criteria);
        }

        return TestCourse::of(self::signOffs($test), $read);
    }

    /** @return list<SignOff> of each criterion, by what was fixed before the test began */
    public static function signOffs(ReadinessTest $test): array
    {
        $rule = $test->rule->toCore();
        $assumed = $test->assumed ?? [];

        return array_map(static fn (Criterion $c, int $i): SignOff => $rule->signOff(
            $c,
            $assumed[$i]['calls'] ?? 1.0,
            $assumed[$i]['alike'] ?? 0.0,
        ), $rule->criteria, array_keys($rule->criteria));
    }

    /**
     * Case after case as they were handed in: what the key settles of what was to be seen, and what was said of it.
     *
     * @return list<array{array<string, bool>, array<string, string>}>
     */
    public function read(ReadinessTest $test): array
    {
        $sitting = $test->sitting;
        if ($sitting === null) {
            return [];
        }
        $faults = $test->rule->toCore()->faults();
        $codebook = $this->codebooks->of($sitting);
        /** @var Collection<int, Reading> $readings */
        $readings = $sitting->readings()
            ->where('readings.user_id', $test->user_id)
            ->whereNotNull('handed_in_at')
            ->whereNull('sitting_cases.withdrawn_at')
            ->with(['arm', 'case.recording.films', 'calls' => static fn ($q) => $q->whereIn('fault', $faults)])
            ->orderBy('handed_in_at')
            ->orderBy('readings.id')
            ->get();
        $labels = self::labels($sitting->key_version_id, $readings, $faults);
        $out = [];
        foreach ($readings as $reading) {
            $shown = $reading->case->shown($reading->arm);
            $is = array_filter(
                $labels[$reading->case->case_id] ?? [],
                static fn (string $fault): bool => ($codebook->faults[$fault] ?? null)
                    ?->observability($shown)->supports() === true,
                ARRAY_FILTER_USE_KEY,
            );
            $said = [];
            foreach ($reading->calls as $call) {
                $said[$call->fault] = $call->presence->value;
            }
            $out[] = [$is, $said];
        }

        return $out;
    }

    /**
     * @param  Collection<int, Reading>  $readings
     * @param  list<string>  $faults
     * @return array<int, array<string, bool>> by case and fault
     */
    private static function labels(?int $key, Collection $readings, array $faults): array
    {
        $out = [];
        foreach (KeyEntry::query()
            ->where('key_version_id', $key)
            ->whereIn('case_id', $readings->map(static fn (Reading $r): int => $r->case->case_id))
            ->whereIn('fault', $faults)
            ->orderBy('id')
            ->get() as $entry) {
            $label = $entry->scoredLabel();
            if ($label !== null) {
                $out[$entry->case_id][$entry->fault] = $label === 'present';
            }
        }

        return $out;
    }

    /** Whether a case waits to be read: of a golfer who consents still, and not taken out. */
    public static function waits(Sitting $sitting): bool
    {
        return $sitting->readings()
            ->whereNull('handed_in_at')
            ->whereNull('sitting_cases.withdrawn_at')
            ->whereHas('case.swings.recording', static fn ($q) => $q
                ->whereNull('erased_at')
                ->whereHas('golfer', static fn ($q) => $q->consenting(Scope::StaffTraining)))
            ->exists();
    }

    /** The newest test of any version of the rule that came to an end. */
    public static function newest(User $user, ReadinessRule $rule): ?ReadinessTest
    {
        return ReadinessTest::query()
            ->where('user_id', $user->id)
            ->whereHas('rule', static fn ($q) => $q->where('id', $rule->line())->orWhere('first_id', $rule->line()))
            ->whereIn('state', [TestState::SignedOff, TestState::Refused, TestState::Undecided])
            ->with(['rule', 'sitting'])
            ->orderByDesc('ended_at')
            ->orderByDesc('id')
            ->first();
    }

    /** How many cases were put before the person. */
    public static function asked(ReadinessTest $test): int
    {
        return $test->sitting_id === null
            ? 0
            : Cell::int(SittingCase::query()->where('sitting_id', $test->sitting_id)->count());
    }
}
