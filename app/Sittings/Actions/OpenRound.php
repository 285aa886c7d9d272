<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Exceptions\ActionException;
use App\Models\Enums\WorkKind;
use App\Models\KeyVersion;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Models\Work;
use App\Panel\Actions\BuildKey;
use App\Panel\Actions\RefreshKey;
use App\Sittings\Events\RoundOpened;
use App\Works\Progress;
use App\Works\Works;
use Core\Motion\View;
use Core\Sight\Scope;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

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
        private DealCases $deal,
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
            $exposed = ($this->deal)($round, $cases, $members);
            $round->fill(['state' => SittingState::Open, 'opened_at' => now()])->save();
            event(new RoundOpened($round, $cases->count(), $members->count(), $exposed, $by));
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
     * The newest published study that has all of a round's cases; where none has, those are named that are missing from
     * the study that has the most.
     *
     * @throws ActionException
     */
    private function panelFor(Sitting $round): Sitting
    {
        $cases = $round->cases()->where('occasion', 1)->with(['rated', 'recording.golfer'])->orderBy('id')->get();
        $least = null;
        $keys = KeyVersion::query()
            ->whereHas('sitting', fn ($q) => $q->where('state', SittingState::Published))
            ->with('sitting')
            ->orderByDesc('sitting_id')
            ->orderByDesc('number')
            ->get()
            ->filter(static fn (KeyVersion $k): bool => $k->lens === $round->lens || $k->sitting->erasedAt() === null);
        foreach ($keys as $key) {
            $has = $key->entries()->distinct()->pluck('case_id');
            $missing = $cases->whereNotIn('case_id', $has);
            if ($missing->isEmpty()) {
                return $key->sitting;
            }
            if ($least === null || $missing->count() < $least[1]->count()) {
                $least = [$key->sitting, $missing];
            }
        }
        if ($least === null) {
            throw ActionException::because('refusals.sittings.no-key.none');
        }
        throw ActionException::because('refusals.sittings.no-key.lacks', [
            'study' => $least[0]->name,
            'n' => $least[1]->count(),
            'cases' => $least[1]->take(5)->map(static fn (SittingCase $c): string => $c->called())->join('; ')
                .($least[1]->count() > 5 ? '; …' : ''),
        ]);
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
