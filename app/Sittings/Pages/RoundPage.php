<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Models\Academy;
use App\Models\CaseSwing;
use App\Models\Casts\Cell;
use App\Models\Enums\WorkKind;
use App\Models\Enums\WorkState;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Term;
use App\Works\Works;
use Core\Number\Written;
use Core\Reading\CaseKind;
use Core\Sight\SittingState;
use Core\Sight\Thing;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/** One round: what it is, what comes next, how far it is read, what its cases are. */
final readonly class RoundPage
{
    /** What the head coach does next, by the state a round is in. */
    private const NEXT = ['draft' => 'rounds.open', 'open' => 'rounds.close', 'closed' => 'rounds.publish'];

    public function __construct(
        private Onlookers $onlookers,
        private OutcomeBias $bias,
        private Works $works,
        private ReadBy $read,
        private RoundRun $run,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $user): array
    {
        $round->load([
            'keyVersion.sitting',
            'members',
            'cases' => static fn ($q) => $q->orderBy('id'),
            'cases.recording.golfer',
            'cases.arm',
            'cases.swings.recording.films',
        ]);
        $onlooker = $this->onlookers->of($user)->over($round->cases);
        $seen = $round->cases->filter(static fn (SittingCase $c): bool => $c->swings->every(
            static fn (CaseSwing $s): bool => $onlooker->sees($s->recording_id, Thing::Context),
        ));
        $held = $round->cases->count() - $seen->count();
        // Who is to read what somebody else planned is not told what comes twice.
        $isRead = in_array($round->state, [SittingState::Draft, SittingState::Open], true);
        if ($isRead && $round->created_by !== $user->id && $round->members->contains($user)) {
            $seen = $seen->where('occasion', 1);
        }
        // Made from everybody's calls: a head coach who reads here waits like the others.
        $bias = $onlooker->withheld($round) === null ? $this->bias->of($round) : null;
        $work = $this->works->newest($round, WorkKind::Open, WorkKind::Key, WorkKind::Publish);

        return [
            'round' => $round,
            'title' => (string) __("round.title.{$round->state->value}", ['round' => $round->name]),
            'about' => $this->about($round),
            'work' => $work?->state->isUnderWay() === true ? $work : null,
            'problem' => $work?->state === WorkState::Failed ? $work->says() : null,
            'next' => $this->next($round),
            'first' => $round->state === SittingState::Closed &&
                $round->isPanel() &&
                $work?->state->isUnderWay() !== true,
            'result' => $round->isPanel() ? route('panel', $round) : route('agreement', $round),
            ...$this->read->of($round),
            'run' => $this->run->of($round, $seen),
            'exposed' => $this->exposed($round),
            'toldApart' => self::toldApart($round, $seen),
            'own' => self::own($round),
            'handedIn' => $round->state === SittingState::Open ? $this->handedIn($round, $seen) : [],
            'bias' => $bias === null ? null : $this->told($bias),
            'cases' => array_values($seen->map($this->case(...))->all()),
            'held' => $held === 0 ? null : trans_choice('round.held', $held, ['count' => $held]),
        ];
    }

    private function about(Sitting $round): string
    {
        $zone = Academy::zone();
        $parts = [
            (string) __($round->isPanel() ? 'round.panel' : 'round.staff'),
            trans_choice('round.cases', $round->cases->count(), ['count' => $round->cases->count()])
                .($round->wait_days > 0 ? __('round.in-two-parts', ['days' => $round->wait_days]) : ''),
            trans_choice('round.members', $round->members->count(), ['count' => $round->members->count()]),
            ...$round->reveals ? [(string) __('round.reveals')] : [],
            (string) __('round.lens', ['lens' => str_replace('-', ' ', $round->lens)]),
        ];
        if ($round->keyVersion !== null) {
            $parts[] = (string) __('round.against', [
                'key' => $round->keyVersion->sitting->name,
                'version' => $round->keyVersion->number,
            ]);
        }
        $at = ['opened' => $round->opened_at, 'closed' => $round->closed_at, 'published' => $round->published_at];
        if ($round->due_on !== null) {
            $parts[] = (string) __('round.due-on', ['date' => $round->due_on->format('j M Y')]);
        }
        foreach (array_filter($at, static fn (?Carbon $t): bool => $t !== null) as $word => $when) {
            $parts[] = (string) __("round.$word", ['date' => $when->timezone($zone)->format('j M Y')]);
        }

        return implode(' · ', $parts);
    }

    /** @return array{url: string, act: string, says: string}|null */
    private function next(Sitting $round): ?array
    {
        $state = $round->state->value;
        if (! isset(self::NEXT[$state])) {
            return null;
        }
        $who = $round->isPanel() ? 'panel' : 'staff';

        return [
            'url' => route(self::NEXT[$state], $round),
            'act' => (string) __("round.next.$state.act"),
            'says' => (string) __("round.next.$state.$who"),
        ];
    }

    /**
     * What was handed in lastly, of cases that this person may see: any of it may have been a mistake.
     *
     * @param  Collection<int, SittingCase>  $seen
     * @return list<array{id: string, says: string}>
     */
    private function handedIn(Sitting $round, Collection $seen): array
    {
        $names = $seen->keyBy('id');

        return array_values($round->readings()
            ->whereNotNull('readings.handed_in_at')
            ->whereIn('sitting_case_id', $seen->modelKeys())
            ->with('user')
            ->orderByDesc('readings.handed_in_at')
            ->orderBy('readings.id')
            ->limit(40)
            ->get()
            ->map(static fn (Reading $r): array => [
                'id' => $r->public_id,
                'says' => (string) __('round.reopen.one', [
                    'name' => $r->user->name,
                    'case' => $names->get($r->sitting_case_id)?->recording->golfer->pseudonym ?? '',
                    'club' => $names->get($r->sitting_case_id)->recording->club ?? '',
                    'at' => $r->handed_in_at?->timezone(Academy::zone())->format('j M, H:i') ?? '',
                ]),
            ])
            ->all());
    }

    /** Whose own swings are among its cases: those are put before everybody else, in a sentence. */
    private static function own(Sitting $round): ?string
    {
        $people = $round->members
            ->map(static fn (User $member): array => [
                'name' => $member->name,
                'n' => $round->cases->filter(static fn (SittingCase $case): bool => $case->isOf($member))->count(),
            ])
            ->where('n', '>', 0)
            ->map(static fn (array $of): string => trans_choice('round.own.person', $of['n'], [
                'name' => $of['name'],
                'count' => $of['n'],
            ]));

        return $people->isEmpty() ? null : $people->join('; ').'.';
    }

    /**
     * Swings that would not come twice unnoticed, while that can still be changed, in a sentence.
     *
     * @param  Collection<int, SittingCase>  $seen
     */
    private static function toldApart(Sitting $round, Collection $seen): ?string
    {
        $told = $round->state === SittingState::Draft ? ToldApart::of($seen) : [];

        return $told === [] ? null : trans_choice('round.told-apart.says', count($told), [
            'count' => count($told),
            'of' => $seen->where('occasion', 2)->count(),
            'swings' => implode('; ', $told),
        ]);
    }

    /** Readings of what a member had been shown before, in a sentence. */
    private function exposed(Sitting $round): ?string
    {
        $people = ReadBy::blind($round)
            ->where('readings.exposed', true)
            ->selectRaw('users.name, count(*) as n')
            ->get()
            ->map(static fn (\stdClass $p): string => trans_choice('round.exposed.person', Cell::int($p->n), [
                'name' => $p->name,
                'count' => Cell::int($p->n),
            ]));

        return $people->isEmpty() ? null : $people->join('; ').'.';
    }

    /**
     * @param  array{looks: int, calls: int, changed: int, to: array<string, int>, causes: int}  $bias
     * @return array{title: string, says: string}
     */
    private function told(array $bias): array
    {
        $to = array_map(
            static fn (string $presence, int $n): string => (string) __('round.bias.became', [
                'n' => $n,
                'call' => __("calls.$presence"),
            ]),
            array_keys($bias['to']),
            $bias['to'],
        );

        return [
            'title' => $bias['changed'] === 0
                ? (string) __('round.bias.none')
                : (string) __('round.bias.title', [
                    'n' => $bias['changed'],
                    'of' => Written::fixed($bias['calls'], 0),
                ]),
            'says' => implode(' ', array_filter([
                (string) __('round.bias.looks', ['n' => $bias['looks']]),
                $to === [] ? '' : implode(', ', $to).'.',
                (string) __('round.bias.causes', ['n' => $bias['causes']]),
            ], static fn (string $s): bool => $s !== '')),
        ];
    }

    /**
     * @return array{name: string, url: string, kind: string, swings: list<array{name: string, url: string}>,
     *     device: string, shown: string, kept: bool, out: ?string}
     */
    private function case(SittingCase $case): array
    {
        $single = $case->kind === CaseKind::Single;

        return [
            'name' => $case->recording->called(),
            'url' => route('bench', $case->recording),
            'kind' => (string) __('round.kinds.'.$case->kind->value),
            'swings' => $single ? [] : array_values($case->swings->map(static fn (CaseSwing $s): array => [
                'name' => $case->swingName($s),
                'url' => route('bench', $s->recording),
            ])->all()),
            'device' => Term::device($case->recording->deviceClass()),
            'shown' => Term::shownOf($case),
            'kept' => $case->reserved,
            'out' => $case->withdrawn_at === null ? null : (string) __('round.out', [
                'date' => $case->withdrawn_at->timezone(Academy::zone())->format('j M'),
                'why' => $case->withdrawn_reason ?? '',
            ]),
        ];
    }
}
