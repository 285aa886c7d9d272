<?php

declare(strict_types=1);

namespace App\Today\Pages;

use App\Codebook\Codebooks;
use App\Models\Consent;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Core\Sight\Why;
use Illuminate\Support\Facades\DB;

/** What needs somebody now. */
final class TodayPage
{
    public function __construct(private readonly Codebooks $codebooks, private readonly Onlookers $onlookers)
    {
    }

    /** @return array<string, mixed> */
    public function forHeadCoach(User $user): array
    {
        $progress = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->where('sittings.state', 'open')->where('readings.stage', Stage::Blind)
            ->groupBy('sittings.id', 'users.id', 'users.name')
            ->orderBy('users.name')
            ->selectRaw(
                'sittings.id as sitting_id, users.name, count(*) as cases, count(readings.handed_in_at) as done, '
                    .'max(readings.updated_at) as last',
            )
            ->get()
            ->groupBy('sitting_id');
        $newestKeys = DB::table('key_versions')->selectRaw('max(id)')->groupBy('sitting_id');
        $unsettled = KeyEntry::query()
            ->whereIn('key_version_id', $newestKeys)
            ->whereNull('ruling')
            ->whereIn('grade', ['conflict', 'contested'])
            ->with(['recording.golfer', 'case.swings', 'keyVersion.sitting'])
            ->orderBy('grade')
            ->orderBy('id')
            ->get();
        $onlooker = $this->onlookers->of($user)->over($unsettled);

        return [
            'open' => Sitting::query()->where('state', 'open')->orderBy('opened_at')->get(),
            'progress' => $progress,
            'closed' => Sitting::query()->where('state', 'closed')->get(),
            'published' => Sitting::query()
                ->where('state', 'published')
                ->where('kind', SittingKind::Round)
                ->orderByDesc('published_at')
                ->first(),
            'unsettled' => $unsettled
                ->filter(fn (KeyEntry $e): bool => $onlooker->seesEntry($e, $e->keyVersion->sitting))
                ->values(),
            'codebook' => $this->codebooks->current(),
            'expiring' => Consent::query()
                ->whereNull('withdrawn_at')
                ->whereDate('expires_on', '<=', now()->addDays(60))
                ->join('golfers', 'golfers.id', '=', 'consents.golfer_id')
                ->orderBy('expires_on')
                ->get(['consents.*', 'golfers.pseudonym']),
        ];
    }

    /** @return array<string, mixed> */
    public function forReader(User $user): array
    {
        $onlooker = $this->onlookers->of($user);
        $readings = Reading::query()
            ->where('user_id', $user->id)
            ->with(['arm', 'case.sitting', 'case.swings'])
            ->orderBy('position')
            ->orderBy('stage')
            ->get();
        $onlooker->over($readings->pluck('case'));
        $why = $readings->mapWithKeys(static fn (Reading $r): array => [$r->id => $onlooker->ofReading($r)->why])->all();
        // A case that is taken out, or whose consent has ended, is asked of nobody.
        $readings = $readings
            ->reject(
                static fn (Reading $r): bool => in_array(
                    $why[$r->id],
                    [Why::Consent, Why::Erased, Why::NotTheirs],
                    true,
                ) && $r->handed_in_at === null,
            )
            ->values();
        $rounds = $readings->groupBy(fn (Reading $r): int => $r->case->sitting_id)->map(
            fn ($list): array => [
                'round' => $list->firstOrFail()->case->sitting,
                'readings' => $list->where('stage', Stage::Blind)->values(),
                'again' => $list->where('stage', Stage::Reveal)->keyBy('sitting_case_id'),
                'done' => $list->where('stage', Stage::Blind)->whereNotNull('handed_in_at')->count(),
                'later' => $onlooker->begins($list->firstOrFail()->case->sitting),
            ],
        );

        return [
            'open' => $rounds->filter(fn (array $r): bool => $r['round']->state === SittingState::Open)->values(),
            'waiting' => $rounds->filter(fn (array $r): bool => $r['round']->state === SittingState::Closed)->values(),
            'published' => $rounds
                ->filter(fn (array $r): bool => $r['round']->state === SittingState::Published)
                ->values(),
            'why' => $why,
            'next' => $readings->first(
                fn (Reading $r): bool => $r->handed_in_at === null &&
                    $r->case->sitting->state === SittingState::Open &&
                    $why[$r->id] === null,
            ),
        ];
    }
}
