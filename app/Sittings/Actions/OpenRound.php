<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Exceptions\ActionException;
use App\Models\Enums\WorkKind;
use App\Models\Exposure;
use App\Models\KeyVersion;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Models\Work;
use App\Panel\Actions\BuildKey;
use App\Panel\Actions\RefreshKey;
use App\Sittings\Events\RoundOpened;
use App\Works\Progress;
use App\Works\Works;
use Core\Chance\Chance;
use Core\Motion\View;
use Core\Planning\Deal;
use Core\Reading\Stage;
use Core\Sight\Scope;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Opens a draft: makes the renditions that hidden repeats need, freezes the key it will be scored against and which
 * films its cases show, and deals every member the cases in an order of their own.
 */
final readonly class OpenRound
{
    public function __construct(
        private Works $works,
        private BuildKey $build,
        private RefreshKey $refresh,
        private MakeRenditions $renditions,
        private DealArms $arms,
    ) {
    }

    /**
     * Asked for: a round of many people and cases deals thousands of readings.
     *
     * @throws ActionException
     */
    public function __invoke(Sitting $round, User $by): Work
    {
        $this->ready($round);
        if (! $round->isPanel()) {
            $this->panelFor($round);
        }

        return $this->works->ask(WorkKind::Open, $round, $by);
    }

    /** @throws ActionException */
    public function carryOut(Sitting $round, ?User $by, Progress $progress): void
    {
        $this->ready($round);
        if ($round->hasRepeats()) {
            ($this->renditions)($round, $progress);
        }
        DB::transaction(function () use ($round, $by, $progress): void {
            $progress->claim();
            $round = Sitting::query()->lockForUpdate()->findOrFail($round->id);
            [$cases, $members] = $this->ready($round);
            if (! $round->isPanel()) {
                $round->key_version_id = $this->freezeKey($round)->id;
            }
            self::freezeFilms($cases);
            $exposed = $this->exposed($cases, $members);
            $arms = $this->arms->of($round, $cases, $members);
            $rows = [];
            foreach ($members as $member) {
                foreach (self::asked(self::order($cases, $round, $member), $member) as $i => $case) {
                    $rows[] = [
                        'public_id' => Str::lower(Str::random(26)),
                        'sitting_case_id' => $case->id,
                        'user_id' => $member->id,
                        'arm_id' => $case->arm_id ?? $arms[$case->case_id][$member->id],
                        'stage' => Stage::Blind->value,
                        'position' => $i + 1,
                        'exposed' => isset($exposed[$member->id][$case->case_id]),
                        'created_at' => now(),
                        'updated_at' => now(),
                    ];
                }
            }
            foreach (array_chunk($rows, 500) as $chunk) {
                Reading::query()->insert($chunk);
            }
            $round->fill(['state' => SittingState::Open, 'opened_at' => now()])->save();
            event(new RoundOpened($round, $cases->count(), $members->count(), count($exposed), $by));
        });
    }

    /**
     * What its cases show of the films there are now.
     *
     * @param  Collection<int, SittingCase>  $cases
     */
    private static function freezeFilms(Collection $cases): void
    {
        $by = $cases->groupBy(static fn (SittingCase $case): string => json_encode(
            array_map(static fn (View $v): string => $v->value, $case->filmedViews()),
            JSON_THROW_ON_ERROR,
        ));
        foreach ($by as $views => $same) {
            SittingCase::query()->whereKey($same->modelKeys())->update(['film_views' => $views]);
        }
    }

    /**
     * @return array{Collection<int, SittingCase>, Collection<int, User>}
     *
     * @throws ActionException
     */
    private function ready(Sitting $round): array
    {
        if ($round->state !== SittingState::Draft) {
            throw ActionException::because('refusals.sittings.not-draft-nothing-changed', [
                'round' => $round->name,
                'state' => $round->state->value,
            ]);
        }
        $cases = $round
            ->cases()
            ->with(['swings.recording.golfer.consents', 'swings.recording.films'])
            ->orderBy('id')
            ->get();
        $members = $round->members()->orderBy('users.id')->get();
        if ($cases->isEmpty() || $members->isEmpty()) {
            throw ActionException::because('refusals.sittings.round-needs-at-least');
        }
        foreach ($cases as $case) {
            foreach ($case->swings as $swing) {
                if (! $swing->recording->golfer->consentsTo(Scope::StaffTraining)) {
                    throw ActionException::because('refusals.sittings.no-valid-consent-take', [
                        'golfer' => $swing->recording->golfer->pseudonym,
                    ]);
                }
                if ($swing->recording->erased_at !== null) {
                    throw ActionException::because('refusals.sittings.recording-erased-take-out', [
                        'golfer' => $swing->recording->golfer->pseudonym,
                    ]);
                }
            }
        }

        return [$cases, $members];
    }

    /**
     * @param  Collection<int, SittingCase>  $cases
     * @return list<SittingCase> in this member's order
     */
    private static function order(Collection $cases, Sitting $round, User $member): array
    {
        $chance = new Chance("order|{$round->seed}|{$member->id}");
        $byId = $cases->keyBy('id')->all();
        $first = $cases->where('occasion', 1);
        $again = $cases
            ->where('occasion', 2)
            ->mapWithKeys(
                static fn (SittingCase $c): array => [$c->id => (int) $first->firstWhere('case_id', $c->case_id)?->id],
            )
            ->all();
        if ($again === []) {
            return array_values(
                array_map(
                    static fn (int $id): SittingCase => $byId[$id],
                    $chance->shuffled(self::idsOf($first)),
                ),
            );
        }
        $ids = static fn (int $part): array => self::idsOf($first->where('part', $part));

        return array_map(
            static fn (int $id): SittingCase => $byId[$id],
            Deal::order($ids(1), $ids(2), $again, $round->wait_days > 0, $chance),
        );
    }

    /**
     * A person's own swing is never put before them.
     *
     * @param  list<SittingCase>  $cases
     * @return list<SittingCase>
     */
    private static function asked(array $cases, User $member): array
    {
        return array_values(array_filter($cases, static fn (SittingCase $case): bool => ! $case->isOf($member)));
    }

    /**
     * @param  iterable<SittingCase>  $cases
     * @return list<int>
     */
    private static function idsOf(iterable $cases): array
    {
        $ids = [];
        foreach ($cases as $case) {
            $ids[] = $case->id;
        }

        return $ids;
    }

    /**
     * Who has been shown a truth about which case: by a published round, a second look, or as head coach.
     *
     * @param  Collection<int, SittingCase>  $cases
     * @param  Collection<int, User>  $members
     * @return array<int, array<int, true>> by member and case
     */
    private function exposed(Collection $cases, Collection $members): array
    {
        $out = [];
        $of = [];
        foreach ($cases as $case) {
            foreach ($case->swings as $swing) {
                $of[$swing->recording_id][] = $case->case_id;
            }
        }
        foreach (
            Exposure::query()
                ->whereIn('user_id', $members->pluck('id'))
                ->whereIn('recording_id', array_keys($of))
                ->get(['user_id', 'recording_id']) as $e
        ) {
            foreach ($of[$e->recording_id] as $case) {
                $out[$e->user_id][$case] = true;
            }
        }
        foreach ($members as $member) {
            if ($member->isHeadCoach()) {
                foreach ($cases as $case) {
                    $out[$member->id][$case->case_id] = true;
                }
            }
        }

        return $out;
    }

    /**
     * The newest published study that has all of a round's cases.
     *
     * @throws ActionException
     */
    private function panelFor(Sitting $round): Sitting
    {
        $asked = $round->cases()->pluck('case_id')->unique();

        return KeyVersion::query()
            ->whereHas('sitting', fn ($q) => $q->where('state', SittingState::Published))
            ->with('sitting')
            ->orderByDesc('sitting_id')
            ->orderByDesc('number')
            ->get()
            ->first(
                static fn (KeyVersion $k): bool => ($k->lens === $round->lens || $k->sitting->erasedAt() === null) && $k
                    ->entries()
                    ->whereIn('case_id', $asked)
                    ->distinct()
                    ->count('case_id') === $asked->count(),
            )->sitting ?? throw ActionException::because('refusals.sittings.no-published-panel-study');
    }

    /** @throws ActionException */
    private function freezeKey(Sitting $round): KeyVersion
    {
        $panel = $this->panelFor($round);
        $key = $panel->keysUnder($round->lens)->first();
        // A study of before was verified under its own lens alone.
        $key = $key === null
            ? $this->build->add($panel, $round->lens)
            : ($this->refresh)($key->setRelation('sitting', $panel));
        if ($key->frozen_at === null) {
            $key->update(['frozen_at' => now()]);
        }

        return $key;
    }
}
