<?php

declare(strict_types=1);

namespace App\Debrief\Pages;

use App\Debrief\Debrief;
use App\Models\CaseSwing;
use App\Models\DebriefCase;
use App\Models\DebriefDecision;
use App\Models\DebriefSession;
use App\Models\Enums\UserState;
use App\Models\Enums\VoteKind;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sight\RoomSight;
use Core\Consensus\LiesIn;
use Core\Reading\CaseKind;
use Core\Sight\Reveal;

/** A debrief as its presenter holds it: the case as DebriefPage shows it, and what is shown, asked and decided. */
final readonly class HeldPage
{
    public function __construct(
        private Debrief $debrief,
        private DebriefPage $page,
        private VotePage $votes,
        private Onlookers $onlookers,
        private RoomSight $sight,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(DebriefSession $session, User $user): array
    {
        $round = $session->loadMissing('sitting')->sitting;
        $shown = $session->current()->firstOrFail();
        $cases = $session->cases()->get()->values();
        $order = $this->order($session, $user);
        $place = 1 + (int) $cases->search(static fn (DebriefCase $c): bool => $c->is($shown));
        $case = $this->debrief->case($round, $shown->sitting_case_id);
        $onlooker = $this->onlookers->of($user);
        $film = $case->swings->every(static fn (CaseSwing $s): bool => $onlooker->mayShowRoom($s->recording_id));
        $page = $this->page->of($round, $case, $place, $order, $film);
        $barred = $this->sight->barred($session, $shown);
        $vote = $this->votes->shown($session, $shown);

        return [
            ...$page,
            'before' => null,
            'next' => null,
            'rounds' => [],
            'evidence' => route('debriefs.evidence', [$session, $shown->id, 1], false),
            'swings' => $case->kind === CaseKind::Single ? [] : array_values($case->swings->values()
                ->map(static fn (CaseSwing $s, int $i): array => [
                    'name' => $case->swingName($s),
                    'url' => route('debriefs.evidence', [$session, $shown->id, $i + 1], false),
                ])->all()),
            'held' => [
                'session' => $session,
                'shown' => $shown,
                'steps' => array_map(static fn (Reveal $r): array => [
                    'value' => $r->value,
                    'name' => (string) __('debrief.steps.'.strtolower($r->name)),
                    'done' => $shown->revealed->covers($r),
                ], Reveal::cases()),
                'cases' => array_values($cases->map(static fn (DebriefCase $c, int $i): array => [
                    'case' => $c,
                    'name' => $order[$i]['name'],
                    'here' => $c->is($shown),
                ])->all()),
                'barred' => array_keys($barred),
                'joined' => $session->people()->count(),
                'vote' => $vote,
                'kinds' => array_column(VoteKind::cases(), 'value'),
                'lies' => array_column(LiesIn::cases(), 'value'),
                'people' => self::people(),
                'decisions' => self::decisions($session),
            ],
        ];
    }

    /**
     * The cases of a debrief in its order.
     *
     * @return list<array{place: int, name: string, weight: float, fault: ?string}>
     */
    private function order(DebriefSession $session, User $user): array
    {
        $round = $session->loadMissing('sitting')->sitting;
        $turns = array_column($this->debrief->order($round, $user), null, 'place');
        $out = [];
        foreach ($session->cases()->get() as $case) {
            $out[] = $turns[$case->sitting_case_id] ?? [
                'place' => $case->sitting_case_id,
                'name' => (string) __('debrief.gone'),
                'weight' => 0.0,
                'fault' => null,
            ];
        }

        return $out;
    }

    /** @return array<int, string> who may see to a decision, by id */
    public static function people(): array
    {
        $out = [];
        foreach (User::query()->where('state', UserState::Active)->orderBy('name')->orderBy('id')->get(['id', 'name']) as $user) {
            $out[$user->id] = $user->name;
        }

        return $out;
    }

    /** @return list<DebriefDecision> */
    public static function decisions(DebriefSession $session): array
    {
        return array_values(DebriefDecision::query()
            ->where('debrief_session_id', $session->id)
            ->with(['owner', 'case.case.recording.golfer'])
            ->orderBy('id')
            ->get()
            ->all());
    }
}
