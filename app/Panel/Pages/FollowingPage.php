<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Bench\Pages\CaseLine;
use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\FollowingAnswer;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\FollowingRounds;
use App\Panel\PanelSheets;
use App\Sight\NotNow;
use App\Sight\Onlookers;
use App\Sight\PanelSight;
use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Consensus\LiesIn;
use Core\Reading\Presence;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Collection;

/**
 * A case of a following round as one member goes over it: the swing as it was shown, and of each fault without a
 * majority the own call, the anonymous spread, and everybody's pins and reasons in an order that tells nobody.
 */
final readonly class FollowingPage
{
    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /**
     * @param  int|null  $place  of the member's cases, from 1; the first that waits where null
     * @return array<string, mixed>|null null where nothing is asked of this member
     *
     * @throws NotNow
     */
    public function of(Sitting $following, User $user, ?int $place): ?array
    {
        $panel = Sitting::query()->findOrFail((int) $following->parent_id);
        $questions = FollowingRounds::questions($following, $user->id);
        $mine = FollowingAnswer::query()
            ->where('sitting_id', $following->id)
            ->where('user_id', $user->id)
            ->get()
            ->groupBy('case_id');
        $cases = array_keys($questions);
        if ($cases === []) {
            return null;
        }
        $done = static fn (int $case): int => ($mine[$case] ?? new Collection)->count();
        $waiting = array_values(array_filter(
            $cases,
            static fn (int $case): bool => $done($case) < count($questions[$case]),
        ));
        $at = $place === null
            ? (int) array_search($waiting[0] ?? $cases[0], $cases, true)
            : $place - 1;
        $case = $cases[$at] ?? abort(404);
        $own = PanelSheets::ofMember($panel, $user->id)[$case];
        $open = $following->state === SittingState::Open && $following->seats($user);
        $sight = (new PanelSight($this->onlookers->of($user)))->ofQuestion($own, $open);
        if ($sight->why !== null) {
            throw NotNow::because($sight->why);
        }
        $own->load('calls');
        $answered = ($mine[$case] ?? new Collection)->keyBy('fault');

        return [
            'title' => (string) __('panel.following.head', ['n' => $at + 1, 'of' => count($cases)]),
            'about' => (string) __('panel.following.about', ['round' => $following->name]),
            'waits' => count($waiting),
            'step' => 'following',
            ...AskedSwing::of($own),
            'case' => CaseLine::of($own),
            'before' => $at > 0 ? route('following', [$following, 'place' => $at]) : null,
            'next' => $at + 1 < count($cases) ? route('following', [$following, 'place' => $at + 2]) : null,
            'questions' => $this->questions($following, $panel, $own, $questions[$case], $answered),
            'answer' => route('following.answer', [$following, $at + 1], false),
            'lies' => array_map(static fn (LiesIn $l): string => $l->value, LiesIn::cases()),
        ];
    }

    /**
     * @param  list<string>  $faults
     * @param  Collection<array-key, FollowingAnswer>  $answered
     * @return list<array<string, mixed>>
     */
    private function questions(
        Sitting $following,
        Sitting $panel,
        Reading $own,
        array $faults,
        Collection $answered,
    ): array {
        $codebook = $this->codebooks->of($panel);
        $said = FollowingRounds::said($panel)[$own->case->case_id] ?? [];
        $all = Reading::query()
            ->where('sitting_case_id', $own->sitting_case_id)
            ->where('stage', $own->stage)
            ->whereNotNull('handed_in_at')
            ->with(['calls' => static fn ($q) => $q->whereIn('fault', $faults)])
            ->orderBy('id')
            ->get();
        $out = [];
        foreach ($faults as $fault) {
            $spread = [];
            $reasons = [];
            foreach ($all as $reading) {
                $call = $reading->calls->firstWhere('fault', $fault);
                if (! $call instanceof Call) {
                    continue;
                }
                $now = $said[$fault][$reading->user_id] ?? null;
                $presence = ($now->presence ?? $call->presence)->value;
                $spread[$presence] = ($spread[$presence] ?? 0) + 1;
                array_push($reasons, ...self::reasons($call, $presence, $now));
            }
            $mine = $own->calls->firstWhere('fault', $fault);
            $before = $said[$fault][$own->user_id] ?? null;
            $kept = $answered->get($fault);
            $out[] = [
                'fault' => $fault,
                ...self::defined($codebook, $fault),
                'was' => ($before->presence ?? $mine->presence ?? Presence::CannotTell)->value,
                'severity' => ($before->severity ?? $mine?->severity)?->value,
                'spread' => array_map(static fn (Presence $p): array => [
                    'presence' => $p->value,
                    'n' => $spread[$p->value] ?? 0,
                ], Presence::cases()),
                // In an order of its own: that of the members would tell who said what from case to case.
                'reasons' => (new Chance("following|$following->seed|{$own->case->case_id}|$fault"))
                    ->shuffled($reasons),
                'answered' => $kept === null ? null : [
                    'presence' => $kept->presence->value,
                    'severity' => $kept->severity?->value,
                    'reason' => $kept->reason,
                    'lies' => $kept->lies->value,
                ],
            ];
        }

        return $out;
    }

    /** @return array{name: string, station: string, lookFor: string} */
    private static function defined(Codebook $codebook, string $fault): array
    {
        $of = $codebook->faults[$fault];

        return ['name' => ucfirst($of->name), 'station' => $of->station->value, 'lookFor' => ucfirst($of->lookFor).'.'];
    }

    /** @return list<array{presence: string, t: ?float, swing: int, on: string, reason: string}> */
    private static function reasons(Call $call, string $presence, ?FollowingAnswer $now): array
    {
        $out = [];
        foreach ($call->toCore()->pins as $pin) {
            $out[] = [
                'presence' => $presence,
                't' => $pin->t,
                'swing' => $pin->swing,
                'on' => $pin->on,
                'reason' => $pin->reason,
            ];
        }
        if ($now !== null && $now->reason !== '') {
            $out[] = ['presence' => $presence, 't' => null, 'swing' => 1, 'on' => '', 'reason' => $now->reason];
        }

        return $out;
    }
}
