<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AuditEntry;
use App\Models\Recording;
use App\Models\Round;
use App\Models\RoundCase;
use App\Models\User;
use App\Queries\Codebooks;
use Core\Codebook\StandardLenses;
use Core\Planning\CaseSet;
use Illuminate\Support\Facades\DB;

/** Writes down a round as a draft: which swings make its cases, who reads them, what is shown. */
final readonly class PlanRound
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /**
     * @param  list<int>  $recordings  each a case of its own
     * @param  list<int>  $members
     * @param  'both'|'film'|'trace'  $show
     * @param  list<array{kind: 'series'|'pair', recordings: list<int>}>  $groups  cases of several swings, in order
     * @param  list<int>  $repeats  single cases to be shown once more, unannounced
     * @param  bool  $reveals  whether each case is read again with the ball and the numbers
     *
     * @throws ActionException
     */
    public function __invoke(string $name, string $kind, array $recordings, array $members, string $show, User $by, string $lens = StandardLenses::DEFAULT, array $groups = [], bool $reveals = false, array $repeats = []): Round
    {
        $role = $kind === Round::PANEL ? User::PANEL : User::INSTRUCTOR;
        $wrong = User::query()->whereKey($members)->where('role', '<>', $role)->pluck('name');
        if ($wrong->isNotEmpty()) {
            throw new ActionException($wrong->join(', ', ' and ').' cannot read in a '.$kind.' round. Nothing was stored.');
        }

        $cases = [...array_map(static fn (int $id): array => ['kind' => RoundCase::SINGLE, 'recordings' => [$id]], $recordings), ...$groups];
        $known = Recording::query()->whereKey(array_merge(...array_column($cases, 'recordings')))->with(['golfer', 'films'])->withExists('motion')->get()->keyBy('id');
        foreach ($cases as $case) {
            $this->mayStandTogether($case['kind'], array_values(array_filter(array_map(static fn (int $id): ?Recording => $known[$id] ?? null, $case['recordings']))));
        }
        $first = array_map(static fn (array $c): int => $c['recordings'][0], $cases);
        if (count($first) !== count(array_unique($first))) {
            throw new ActionException('Two cases of this round would begin with the same swing; give each a first swing of its own. Nothing was stored.');
        }

        if ($repeats !== [] && $reveals) {
            throw new ActionException('With a second look a case that is shown again would give itself away, as its numbers have to wait: choose one or the other. Nothing was stored.');
        }
        $others = count($cases) - CaseSet::BETWEEN;
        if ($repeats !== [] && (array_diff($repeats, $recordings) !== [] || count($repeats) > $others)) {
            throw new ActionException(array_diff($repeats, $recordings) !== [] ? 'Only a recording of this round can be shown again in it. Nothing was stored.' : sprintf('A case that is shown again has ten others between: with %d cases %s can be. Nothing was stored.', count($cases), max(0, $others) === 0 ? 'none' : "at most $others"));
        }

        return DB::transaction(function () use ($repeats, $name, $kind, $cases, $known, $members, $show, $by, $lens, $reveals): Round {
            $round = Round::query()->create([
                'reveals' => $reveals, 'name' => $name, 'kind' => $kind, 'lens' => $lens, 'codebook_version' => $this->codebooks->document()->version(), 'seed' => bin2hex(random_bytes(16)), 'created_by' => $by->id,
            ]);
            foreach ($cases as $case) {
                $swings = array_map(static fn (int $id): Recording => $known[$id], $case['recordings']);
                $film = $show !== 'trace' && self::seen($swings);
                $round->addCase($case['kind'], $swings, $film, $show !== 'film' || ! $film);
            }
            foreach ($repeats as $id) {
                $film = $show !== 'trace' && self::seen([$known[$id]]);
                $round->addCase(RoundCase::SINGLE, [$known[$id]], $film, $show !== 'film' || ! $film, 2);
            }
            $round->members()->attach($members);
            AuditEntry::note($by, 'plan', "round $name", ['cases' => count($cases), 'members' => count($members)]);

            return $round;
        });
    }

    /**
     * @param  list<Recording>  $swings
     *
     * @throws ActionException
     */
    private function mayStandTogether(string $kind, array $swings): void
    {
        $n = count($swings);
        $says = match (true) {
            $kind === RoundCase::SERIES && ($n < 3 || $n > 6) => 'A series has three to six swings.',
            $kind === RoundCase::PAIR && $n !== 2 => 'A pair has two swings, one before and one after.',
            count(array_unique(array_map(static fn (Recording $r): int => $r->id, $swings))) !== $n => 'A swing stands in a case once.',
            count(array_unique(array_map(static fn (Recording $r): int => $r->golfer_id, $swings))) > 1 => 'The swings of one case are of one golfer.',
            count(array_unique(array_map(static fn (Recording $r): string => $r->device_class, $swings))) > 1 => 'The swings of one case come from one class of device.',
            default => null,
        };
        if ($says !== null) {
            throw new ActionException("$says Nothing was stored.");
        }
    }

    /**
     * Whether every swing has something to be seen of the body: a filmed view they share, or body points.
     *
     * @param  list<Recording>  $swings
     */
    private static function seen(array $swings): bool
    {
        $views = array_map(static fn (Recording $r): array => array_column($r->filmedViews(), 'value'), $swings);

        return array_intersect(...$views) !== [] || array_filter($swings, static fn (Recording $r): bool => ! (bool) $r->getAttribute('motion_exists')) === [];
    }
}
