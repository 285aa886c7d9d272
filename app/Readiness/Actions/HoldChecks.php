<?php

declare(strict_types=1);

namespace App\Readiness\Actions;

use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\Check;
use App\Models\CheckLook;
use App\Models\CheckPlan;
use App\Models\Enums\NoticeKind;
use App\Models\KeyVersion;
use App\Models\RatedCase;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Notices\Tell;
use App\Readiness\CheckCases;
use App\Readiness\CheckUnits;
use App\Readiness\Events\ReadinessChanged;
use App\Sight\Onlookers;
use Core\Agreement\Profile\StaffWatch;
use Core\Chance\Chance;
use Core\Motion\View;
use Core\Reading\CaseKind;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * The weekly check: a few kept cases for every instructor, opened by itself on its day; the week before is closed and
 * looked at, and who has moved is told, and the head coach. Nobody else hears of anything.
 */
final readonly class HoldChecks
{
    public function __construct(private CheckUnits $units, private Tell $tell, private Onlookers $onlookers)
    {
    }

    /** @throws ActionException where checks run already, or too few cases are there */
    public function start(KeyVersion $key, int $weekday, User $by): CheckPlan
    {
        return DB::transaction(static function () use ($key, $weekday, $by): CheckPlan {
            $key = KeyVersion::query()->lockForUpdate()->with('sitting')->findOrFail($key->id);
            $cases = CheckCases::of($key);
            $says = match (true) {
                CheckPlan::query()->running()->lockForUpdate()->exists() => 'checks-run',
                $key->sitting->state !== SittingState::Published, count($cases) < CheckCases::LEAST => 'check-cases',
                default => null,
            };
            if ($says !== null) {
                throw ActionException::because("refusals.readiness.$says", ['least' => CheckCases::LEAST]);
            }
            if ($key->frozen_at === null) {
                $key->update(['frozen_at' => now()]);
            }
            $plan = CheckPlan::query()->create([
                'key_version_id' => $key->id,
                'weekday' => $weekday,
                'cases' => $cases,
                'started_by' => $by->id,
                'started_at' => now(),
            ]);
            event(new ReadinessChanged('checks-started', ['plan' => $plan->id, 'cases' => count($cases)], $by));

            return $plan;
        });
    }

    /** What is open is closed; what was found stays. */
    public function stop(CheckPlan $plan, User $by): void
    {
        DB::transaction(function () use ($plan, $by): void {
            $plan = CheckPlan::query()->lockForUpdate()->findOrFail($plan->id);
            if ($plan->ended_at === null) {
                $this->close($plan);
                $plan->update(['ended_at' => now()]);
                event(new ReadinessChanged('checks-stopped', ['plan' => $plan->id], $by));
            }
        });
    }

    /** Asked for by every worker every few seconds: one looks once a minute. @return bool whether one was opened */
    public function due(): bool
    {
        return Cache::add('checks-looked-at', true, 60) && $this->open() !== null;
    }

    /** This week's, once its day has come; null where there is none to open. */
    public function open(): ?Check
    {
        $today = Carbon::parse(Academy::today());

        return DB::transaction(function () use ($today): ?Check {
            $plan = CheckPlan::query()->running()->lockForUpdate()->with('keyVersion.sitting')->first();
            $week = $today->copy()->startOfWeek(Carbon::MONDAY);
            if ($plan === null || $today->dayOfWeekIso < $plan->weekday
                || $plan->checks()->where('week_on', $week->toDateString())->exists()) {
                return null;
            }
            $this->close($plan);
            $cases = CheckCases::next($plan);
            $staff = CheckCases::staff();

            return count($cases) < CheckCases::WEEKLY
                || $staff === [] ? null : $this->put($plan, $week, $cases, $staff);
        });
    }

    /**
     * @param  list<int>  $cases
     * @param  list<User>  $staff
     */
    private function put(CheckPlan $plan, Carbon $week, array $cases, array $staff): Check
    {
        $sitting = Sitting::query()->create([
            'reveals' => false,
            'name' => (string) __('readiness.checks.name', ['week' => $week->isoFormat('D MMMM')]),
            'kind' => SittingKind::Check,
            'state' => SittingState::Open,
            'lens' => $plan->keyVersion->lens,
            'codebook_version' => $plan->keyVersion->sitting->codebook_version,
            'key_version_id' => $plan->key_version_id,
            'seed' => bin2hex(random_bytes(16)),
            'due_on' => $week->copy()->addDays(6)->toDateString(),
            'created_by' => $plan->started_by,
            'opened_at' => now(),
        ]);
        $sitting->members()->attach(array_map(static fn (User $u): int => $u->id, $staff));
        foreach (RatedCase::query()->whereKey($cases)->with('swings.recording.films')->orderBy('id')->get() as $case) {
            $recording = $case->swings->firstOrFail()->recording;
            $sitting->addCases([[
                'kind' => CaseKind::Single,
                'recordings' => [$recording->id],
                'film' => $recording->filmedViews() !== [] || $recording->motion()->exists(),
                'trace' => true,
                'occasion' => 1,
                'part' => 1,
                'reserved' => true,
            ]]);
        }
        $placed = SittingCase::query()
            ->where('sitting_id', $sitting->id)
            ->with('recording.films')
            ->orderBy('id')
            ->get();
        foreach ($placed as $case) {
            $case->update(['film_views' => array_map(static fn (View $v): string => $v->value, $case->filmedViews())]);
        }
        foreach ($staff as $user) {
            // Everybody in an order of their own; one's own swing is asked of nobody.
            $order = (new Chance("check|$sitting->seed|$user->id"))->shuffled(array_values($placed->all()));
            foreach ($order as $i => $case) {
                if ($case->recording->golfer_id !== $user->golfer_id) {
                    Reading::query()->create([
                        'sitting_case_id' => $case->id,
                        'user_id' => $user->id,
                        'arm_id' => $case->arm_id,
                        'stage' => Stage::Blind,
                        'position' => $i + 1,
                    ]);
                }
            }
        }
        $check = $plan->checks()->create(['sitting_id' => $sitting->id, 'week_on' => $week->toDateString()]);
        $this->onlookers->forget();
        event(new ReadinessChanged('check-opened', ['check' => $check->id], null));

        return $check;
    }

    /** Closes what is open and looks at everybody once. */
    private function close(CheckPlan $plan): void
    {
        $open = $plan->checks()->whereNull('looked_at')->with('sitting')->get();
        foreach ($open as $check) {
            $check->sitting->update(['state' => SittingState::Closed, 'closed_at' => now()]);
        }
        $last = $open->last();
        if ($last === null) {
            return;
        }
        $this->onlookers->forget();
        Check::query()->whereKey($open->modelKeys())->update(['looked_at' => now()]);
        $heads = [...Tell::headCoaches()];
        $read = $last->sitting->readings()->whereNotNull('handed_in_at')->pluck('readings.user_id')->flip();
        foreach (StaffWatch::of($this->units->of($plan), "$plan->public_id|$last->id") as $person => $watch) {
            // Who did not read this week is not looked at anew.
            if (! $read->has($person)) {
                continue;
            }
            CheckLook::query()->create([
                'check_id' => $last->id,
                'user_id' => $person,
                'units' => $watch->units,
                'z_right' => $watch->right,
                'z_present' => $watch->present,
                'z_limit' => $watch->limit,
                'p' => $watch->p,
                'beyond' => $watch->isBeyond(),
            ]);
            if ($watch->isBeyond()) {
                ($this->tell)(
                    NoticeKind::Moved,
                    [...$heads, User::query()->findOrFail($person)],
                    "check $last->id person $person",
                    ['person_id' => $person],
                );
            }
        }
    }
}
