<?php

declare(strict_types=1);

namespace App\Debrief\Pages;

use App\Debrief\Debrief;
use App\Models\Academy;
use App\Models\DebriefCase;
use App\Models\DebriefDecision;
use App\Models\DebriefQuestion;
use App\Models\DebriefSession;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Sight\Reveal;

/** The minutes of a debrief: who was there, what was shown and voted on, in numbers only, and what was decided. */
final readonly class MinutesPage
{
    public function __construct(private Debrief $debrief, private VotePage $votes, private Onlookers $onlookers)
    {
    }

    /** @return array<string, mixed> */
    public function of(DebriefSession $session, User $user): array
    {
        $round = $session->loadMissing('sitting')->sitting;
        $withheld = $this->onlookers->of($user)->withheld($round) !== null;
        $names = $withheld ? [] : array_column($this->debrief->order($round, $user), 'name', 'place');
        $decisions = HeldPage::decisions($session);
        $day = $session->started_at->timezone(Academy::zone());

        return [
            'session' => $session,
            'title' => (string) __('debrief.minutes.title', ['round' => $round->name]),
            'when' => (string) __('debrief.minutes.when', [
                'day' => $day->format('j F Y'),
                'from' => $day->format('H:i'),
                'to' => $session->ended_at?->timezone(Academy::zone())->format('H:i') ?? '…',
            ]),
            'people' => $session->people()->orderBy('name')->pluck('name')->all(),
            'cases' => array_values($session->cases()->with('questions.votes')->get()
                ->filter(static fn (DebriefCase $c): bool => isset($names[$c->sitting_case_id]))
                ->map(fn (DebriefCase $c): array => [
                    'name' => $names[$c->sitting_case_id],
                    'notes' => $c->notes,
                    'shown' => (string) __('debrief.minutes.shown.'.strtolower($c->revealed->name)),
                    'begun' => $c->revealed !== Reveal::Swing || $c->questions->isNotEmpty(),
                    'votes' => array_values($c->questions
                        ->map(fn (DebriefQuestion $q): array => $this->votes->of($session, $q, true))->all()),
                    'decisions' => array_values(array_filter(
                        $decisions,
                        static fn (DebriefDecision $d): bool => $d->debrief_case_id === $c->id,
                    )),
                ])->all()),
            'general' => array_values(array_filter(
                $decisions,
                static fn (DebriefDecision $d): bool => $d->debrief_case_id === null,
            )),
            'owners' => HeldPage::people(),
            'withheld' => $withheld,
        ];
    }
}
