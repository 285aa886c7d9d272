<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\CheckPlan;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sittings\Events\RoundPlanned;
use Core\Chance\Chance;
use Core\Codebook\StandardLenses;
use Core\Consensus\PanelRules;
use Core\Planning\Arms;
use Core\Planning\CaseSet;
use Core\Planning\Deal;
use Core\Reading\CaseKind;
use Core\Reading\Ladder;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;

/**
 * Writes down a round as a draft: which swings make its cases, who reads them, what is shown.
 *
 * @phpstan-import-type Place from Sitting
 *
 * @phpstan-type Show 'both'|'film'|'trace'|'crossed'
 */
final readonly class PlanRound
{
    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /**
     * @param  list<int>  $recordings  each a case of its own
     * @param  list<int>  $members
     * @param  Show  $show  crossed: film, trace or both, by turns
     * @param  list<array{kind: CaseKind, recordings: list<int>}>  $groups  cases of several swings, in order
     * @param  bool  $reveals  whether each case is read again with the ball and the numbers
     * @param  list<int>  $repeats  single cases to be shown once more, unannounced
     * @param  bool  $waits  whether the repeats stand in a second part, three weeks later
     * @param  int  $keep  so many single cases, drawn by lot, are kept for later rounds: never told of, and asked again
     * @param  Sitting|null  $from  an earlier round, of which those kept are asked about here
     * @param  PanelRules|null  $rules  of a panel; the academy's where null
     *
     * @throws ActionException
     */
    public function __invoke(
        string $name,
        SittingKind $kind,
        array $recordings,
        array $members,
        string $show,
        User $by,
        string $lens = StandardLenses::DEFAULT,
        array $groups = [],
        bool $reveals = false,
        array $repeats = [],
        bool $waits = true,
        int $keep = 0,
        ?Sitting $from = null,
        ?PanelRules $rules = null,
    ): Sitting {
        $kept = $from === null ? [] : self::keptFrom($from);
        $recordings = array_values(array_unique([...$recordings, ...$kept]));
        self::maySit($kind, $members);
        $cases = [
            ...array_map(static fn (int $id): array => ['kind' => CaseKind::Single, 'recordings' => [$id]],
                $recordings),
            ...$groups,
        ];
        $known = $this->known($cases, $by);
        self::mayBeRead($kind, $known);
        $this->mayBeRepeated(count($cases), $recordings, $repeats, $waits);
        $seed = bin2hex(random_bytes(16));
        $free = array_values(array_diff($recordings, $kept, $repeats));
        $anchors = [...$kept, ...$this->drawn($kind, $free, $keep, $seed)];
        // A second look shows the ball and the numbers: who had it could be asked nothing more of that case.
        if ($anchors !== [] && $reveals) {
            throw ActionException::because('refusals.sittings.kept.reveals');
        }
        if ($show === 'crossed') {
            $this->mayBeCrossed($kind, $cases, $known, $members);
        }

        $waits = $repeats !== [] && $waits;
        $places = $this->places($cases, $known, $show, $repeats, $waits, $anchors, $seed);
        $attributes = [
            'reveals' => $reveals,
            'name' => $name,
            'kind' => $kind,
            'lens' => $lens,
            'codebook_version' => $this->codebooks->document()->version(),
            'seed' => $seed,
            'created_by' => $by->id,
            'wait_days' => $waits ? CaseSet::DAYS : 0,
            ...$kind !== SittingKind::Panel || $rules === null ? [] : [
                'majority' => $rules->majority,
                'able' => $rules->able,
                'following_rounds' => $rules->rounds,
                'stability' => $rules->stability,
            ],
        ];

        return DB::transaction(static function () use ($attributes, $places, $members, $cases, $by): Sitting {
            $round = Sitting::query()->create($attributes);
            $round->addCases($places);
            $round->members()->attach($members);
            event(new RoundPlanned($round, count($cases), count($members), $by));

            return $round;
        });
    }

    /**
     * @param  list<int>  $members
     *
     * @throws ActionException
     */
    private static function maySit(SittingKind $kind, array $members): void
    {
        $wrong = User::query()
            ->whereKey($members)
            ->get()
            ->reject(static fn (User $u): bool => $u->state->maySit() && $u->maySit($kind))
            ->map(static fn (User $u): string => $u->name);
        if ($wrong->isNotEmpty()) {
            throw ActionException::because('refusals.sittings.cannot-read-study-nothing', [
                'join' => $wrong->join(', ', ' and '),
                'kind' => $kind->value,
            ]);
        }
    }

    /**
     * A panel may judge what is set apart for weekly checks; a round of the staff would use it up.
     *
     * @param  array<int, Recording>  $known  by id
     *
     * @throws ActionException
     */
    private static function mayBeRead(SittingKind $kind, array $known): void
    {
        $apart = $kind === SittingKind::Round ? array_intersect_key($known, array_flip(CheckPlan::kept())) : [];
        if ($apart !== []) {
            throw ActionException::because('refusals.sittings.set-apart', [
                'count' => count($apart),
                'swings' => implode('; ', array_map(static fn (Recording $r): string => $r->called(), $apart)),
            ]);
        }
    }

    /**
     * The recordings of these cases, which may stand together, each case once.
     *
     * @param  list<array{kind: CaseKind, recordings: list<int>}>  $cases
     * @return array<int, Recording> by id
     *
     * @throws ActionException
     */
    private function known(array $cases, User $by): array
    {
        $asked = array_merge(...array_column($cases, 'recordings'));
        /** @var array<int, Recording> $known */
        $known = $this->onlookers
            ->of($by)
            ->readable()
            ->whereKey($asked)
            ->with(['golfer', 'films'])
            ->withExists('motion')
            ->get()
            ->keyBy('id')
            ->all();
        if (count($known) !== count(array_unique($asked))) {
            throw ActionException::because('refusals.sittings.one-these-recordings-not');
        }
        foreach ($cases as $case) {
            $this->mayStandTogether(
                $case['kind'],
                array_map(static fn (int $id): Recording => $known[$id], $case['recordings']),
            );
        }
        $same = array_map(static fn (array $c): string => $c['kind']->value.implode(',', $c['recordings']), $cases);
        if (count($same) !== count(array_unique($same))) {
            throw ActionException::because('refusals.sittings.two-cases-round-same');
        }

        return $known;
    }

    /**
     * @param  list<array{kind: CaseKind, recordings: list<int>}>  $cases
     * @param  array<int, Recording>  $known  by id
     * @param  Show  $show
     * @param  list<int>  $repeats
     * @param  list<int>  $anchors
     * @return list<Place>
     */
    private function places(
        array $cases,
        array $known,
        string $show,
        array $repeats,
        bool $waits,
        array $anchors,
        string $seed,
    ): array {
        $later = $waits ? $this->later($cases, $repeats, $seed) : [];
        $places = [];
        foreach ($cases as $i => $case) {
            $places[] = self::place($case, $known, $show, 1, isset($later[$i]) ? 2 : 1);
        }
        foreach ($repeats as $id) {
            $case = ['kind' => CaseKind::Single, 'recordings' => [$id]];
            $places[] = self::place($case, $known, $show, 2, $waits ? 2 : 1);
        }

        return array_map(static fn (array $place): array => [
            ...$place,
            'reserved' => $place['kind'] === CaseKind::Single && in_array($place['recordings'][0], $anchors, true),
        ], $places);
    }

    /**
     * @param  list<int>  $recordings
     * @param  list<int>  $repeats
     *
     * @throws ActionException
     */
    private function mayBeRepeated(int $cases, array $recordings, array $repeats, bool $waits): void
    {
        if (array_diff($repeats, $recordings) !== []) {
            throw ActionException::because('refusals.sittings.only-recording-round-shown');
        }
        $room = Deal::room($cases, $waits);
        if (count($repeats) > $room) {
            throw ActionException::because('refusals.sittings.repeats.'.($waits ? 'later' : 'within'), [
                'cases' => $cases,
                'count' => $room,
            ]);
        }
    }

    /**
     * Which cases are kept for later rounds: by lot, before anybody has read them. Chosen by how they were read they
     * would show a change where there is none.
     *
     * @param  list<int>  $among
     * @return list<int>
     *
     * @throws ActionException
     */
    private function drawn(SittingKind $kind, array $among, int $keep, string $seed): array
    {
        if ($keep === 0) {
            return [];
        }
        if ($kind !== SittingKind::Round || $keep > count($among)) {
            throw ActionException::because('refusals.sittings.kept.'.($kind === SittingKind::Round ? 'few' : 'panel'), [
                'count' => count($among),
            ]);
        }

        return array_slice((new Chance("kept|$seed"))->shuffled($among), 0, $keep);
    }

    /** @return list<int> recordings of the single cases that an earlier round kept */
    private static function keptFrom(Sitting $round): array
    {
        return array_values($round->cases()
            ->where('reserved', true)
            ->where('occasion', 1)
            ->whereNull('withdrawn_at')
            ->whereHas('rated', static fn ($q) => $q->where('kind', CaseKind::Single))
            ->with('swings')
            ->orderBy('id')
            ->get()
            ->map(static fn (SittingCase $c): int => $c->swings->firstOrFail()->recording_id)
            ->all());
    }

    /**
     * @param  list<array{kind: CaseKind, recordings: list<int>}>  $cases
     * @param  array<int, Recording>  $known  by id
     * @param  list<int>  $members
     *
     * @throws ActionException
     */
    private function mayBeCrossed(SittingKind $kind, array $cases, array $known, array $members): void
    {
        $both = array_filter($cases, static fn (array $case): bool => self::seen(
            array_map(static fn (int $id): Recording => $known[$id], $case['recordings']),
        ));
        $says = match (true) {
            $kind !== SittingKind::Round => 'panel',
            count($both) < count(Arms::CODES) => 'cases',
            count($members) < 2 * count(Arms::CODES) => 'readers',
            default => null,
        };
        if ($says !== null) {
            throw ActionException::because("refusals.sittings.crossed.$says", [
                'cases' => count(Arms::CODES),
                'readers' => 2 * count(Arms::CODES),
                'both' => count($both),
            ]);
        }
    }

    /**
     * Which cases are kept for the second part, by chance.
     *
     * @param  list<array{kind: CaseKind, recordings: list<int>}>  $cases
     * @param  list<int>  $repeats
     * @return array<int, true>
     */
    private function later(array $cases, array $repeats, string $seed): array
    {
        $once = array_keys(
            array_filter(
                $cases,
                static fn (array $c): bool => $c['kind'] !== CaseKind::Single ||
                    ! in_array($c['recordings'][0], $repeats, true),
            ),
        );
        $drawn = (new Chance("parts|$seed"))->shuffled($once);

        return array_fill_keys(array_slice($drawn, 0, Deal::fresh(count($cases), count($repeats))), true);
    }

    /**
     * @param  list<Recording>  $swings
     *
     * @throws ActionException
     */
    private function mayStandTogether(CaseKind $kind, array $swings): void
    {
        $n = count($swings);
        $different = static fn (string $in): int => collect($swings)->pluck($in)->unique()->count();
        $says = match (true) {
            $kind === CaseKind::Series && ($n < 3 || $n > 6) => 'series',
            $kind === CaseKind::Pair && $n !== 2 => 'pair',
            $kind === CaseKind::Ladder && ($n < Ladder::LEAST || $n > Ladder::MOST) => 'ladder',
            $different('id') !== $n => 'once',
            $different('golfer_id') > 1 => 'golfer',
            $different('device_class') > 1 => 'device',
            default => null,
        };
        if ($says !== null) {
            throw ActionException::because("refusals.sittings.together.$says");
        }
    }

    /**
     * @param  array{kind: CaseKind, recordings: list<int>}  $case
     * @param  array<int, Recording>  $known  by id
     * @param  Show  $show
     * @return Place
     */
    private static function place(array $case, array $known, string $show, int $occasion, int $part): array
    {
        $film = $show !== 'trace' &&
            self::seen(array_map(static fn (int $id): Recording => $known[$id], $case['recordings']));

        // Only what has both can be shown in turns; the rest shows all its readers its trace.
        return [
            ...$case,
            'film' => $film,
            'trace' => $show !== 'film' || ! $film,
            'crossed' => $show === 'crossed' && $film,
            ...compact('occasion', 'part'),
        ];
    }

    /**
     * Whether every swing has something to be seen of the body: a filmed view they share, or body points.
     *
     * @param  list<Recording>  $swings
     */
    private static function seen(array $swings): bool
    {
        $views = array_map(static fn (Recording $r): array => array_column($r->filmedViews(), 'value'), $swings);

        return array_intersect(...$views) !== [] ||
            array_filter($swings, static fn (Recording $r): bool => ! (bool) $r->getAttribute('motion_exists')) === [];
    }
}
