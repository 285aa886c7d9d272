<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Consent;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Round;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** What needs somebody now. */
final class TodayPage
{
    public function __construct(private readonly Codebooks $codebooks)
    {
    }

    /** @return array<string, mixed> */
    public function forHeadCoach(): array
    {
        $progress = DB::table('readings')
            ->join('round_cases', 'round_cases.id', '=', 'readings.round_case_id')
            ->join('rounds', 'rounds.id', '=', 'round_cases.round_id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->where('rounds.state', 'open')->where('readings.stage', Reading::BLIND)
            ->groupBy('rounds.id', 'users.id', 'users.name')
            ->orderBy('users.name')
            ->selectRaw('rounds.id as round_id, users.name, count(*) as cases, count(readings.handed_in_at) as done, max(readings.updated_at) as last')
            ->get()->groupBy('round_id');
        $newestKeys = DB::table('key_versions')->selectRaw('max(id)')->groupBy('round_id');

        return [
            'open' => Round::query()->where('state', 'open')->orderBy('opened_at')->get(),
            'progress' => $progress,
            'closed' => Round::query()->where('state', 'closed')->get(),
            'published' => Round::query()->where('state', 'published')->where('kind', Round::STAFF)->orderByDesc('published_at')->first(),
            'unsettled' => KeyEntry::query()->whereIn('key_version_id', $newestKeys)->whereNull('ruling')->whereIn('grade', ['conflict', 'contested'])
                ->with(['recording.golfer', 'keyVersion.round'])->orderBy('grade')->orderBy('id')->get(),
            'codebook' => $this->codebooks->current(),
            'expiring' => Consent::query()->whereNull('withdrawn_at')->whereDate('expires_on', '<=', now()->addDays(60))
                ->join('golfers', 'golfers.id', '=', 'consents.golfer_id')->orderBy('expires_on')->get(['consents.*', 'golfers.pseudonym']),
        ];
    }

    /** @return array<string, mixed> */
    public function forReader(User $user): array
    {
        $readings = Reading::query()->where('user_id', $user->id)->with(['case.round', 'case.swings'])->orderBy('position')->orderBy('stage')->get()->reject(static fn (Reading $r): bool => $r->comesTooSoon())->values();
        $rounds = $readings->groupBy(fn (Reading $r): int => $r->case->round_id)->map(fn ($list): array => [
            'round' => $list[0]->case->round,
            'readings' => $list->where('stage', Reading::BLIND)->values(),
            'again' => $list->where('stage', Reading::REVEAL)->keyBy('round_case_id'),
            'done' => $list->where('stage', Reading::BLIND)->whereNotNull('handed_in_at')->count(),
        ]);

        return [
            'open' => $rounds->filter(fn (array $r): bool => $r['round']->state === 'open')->values(),
            'waiting' => $rounds->filter(fn (array $r): bool => $r['round']->state === 'closed')->values(),
            'published' => $rounds->filter(fn (array $r): bool => $r['round']->state === 'published')->values(),
            'next' => $readings->first(fn (Reading $r): bool => $r->handed_in_at === null && $r->case->round->state === 'open' && $r->isNext()),
        ];
    }
}
