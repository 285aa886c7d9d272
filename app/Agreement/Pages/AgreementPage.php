<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\KeptFigures;
use App\Agreement\RoundExport;
use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\Enums\WorkKind;
use App\Models\Enums\WorkState;
use App\Models\Sitting;
use App\Models\User;
use App\Models\Work;
use App\Works\Works;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\RoundSummary;
use Core\Number\Written;
use Core\Sight\SittingKind;
use Core\Version;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Number;

/**
 * A published round's figures as one person may see them: a first page that answers whether the staff agree, and parts
 * behind it. The head coach sees everybody by name; an instructor sees their own figures by name and colleagues'
 * without one, in an order that tells nothing.
 */
final readonly class AgreementPage
{
    /** Parts for the head coach, and those for who only reads. */
    public const PARTS = ['overview', 'people', 'faults', 'pairs', 'advice', 'shown', 'times'];

    public const OWN_PARTS = ['overview', 'calls'];

    public function __construct(
        private Codebooks $codebooks,
        private AgreementOverview $overview,
        private AgreementPeople $people,
        private AgreementFaults $faults,
        private AgreementPairs $pairs,
        private AgreementArms $arms,
        private AgreementTimes $times,
        private AgreementScale $scale,
        private AgreementAdvice $advice,
        private AgreementCues $cues,
        private AgreementGroups $groups,
        private OwnDifferences $differences,
        private Works $works,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $user, string $part): array
    {
        $kept = KeptFigures::ofRound($round);
        $figures = $kept->summary();
        $result = $kept->result;
        $open = $user->isHeadCoach();
        $raters = new RaterNames($round, $user);

        return [
            'round' => $round,
            'part' => $part,
            'study' => $figures->pooled !== null,
            'open' => $open,
            'title' => $this->title($round, $figures, $open),
            'about' => $this->about($round, $figures),
            'erased' => $round->erasedAt()?->timezone(Academy::zone())->format('j F Y'),
            'older' => $result->core_version !== Version::AGREEMENT || ! $result->isOfThisFormat(),
            'export' => $this->files($round, $open),
            'tabs' => self::tabs($round, $part, $open ? self::PARTS : self::OWN_PARTS),
            'rounds' => $this->rounds($user, $round),
            'computed' => __('agreement.computed', [
                'at' => $result->updated_at->timezone(Academy::zone())->format('j F Y, H:i'),
                'core' => $result->core_version,
                'inputs' => substr($result->inputs_checksum, 0, 12),
                'resamples' => Written::fixed($figures->bootstrap, 0),
                'seed' => $figures->seed,
            ]),
            ...$figures->pooled === null ? [] : $this->part($part, $round, $kept, $figures, $raters, $user),
        ];
    }

    /** @return array<string, mixed> */
    private function part(
        string $part,
        Sitting $round,
        KeptFigures $kept,
        RoundSummary $figures,
        RaterNames $raters,
        User $user,
    ): array {
        $codebook = $this->codebooks->of($round);

        return match ($part) {
            'people' => [
                ...$this->people->of($figures, $kept->map(), $raters, $codebook, $round),
                'cases' => $figures->cases,
                'scale' => $this->scale->people($kept->scale(), $raters),
                'groups' => $raters->open ? $this->groups->of($round, $figures) : [],
                'repeats' => AgreementAgain::repeats($round, $kept, $raters),
            ],
            'faults' => [
                ...$this->faults->of($figures, $codebook),
                'scale' => $this->scale->questions($kept->scale(), $codebook, $round),
            ],
            'pairs' => $this->pairs->of(
                $kept->item()->pairs ?? [],
                array_map(static fn (RaterResult $p): string => $p->rater, $figures->againstKey),
                $raters,
                $round,
            ),
            'advice' => [
                ...$this->advice->of($kept->advice(), $raters, $round),
                'cues' => $this->cues->of($round, $raters),
            ],
            'shown' => [
                ...$this->arms->of($kept->arms()),
                'second' => AgreementAgain::secondLooks($round, $raters, $codebook),
            ],
            'times' => $this->times->of($kept->times() ?? [], $raters, $round),
            'calls' => ['calls' => $this->differences->of($round, $user)],
            default => $this->overview->of($round, $kept, $figures, $raters, $codebook, $user),
        };
    }

    /**
     * The round as files, for who may take them: being written, not written, or there.
     *
     * @return array{work: ?Work, problem: ?string, size: ?string}
     */
    private function files(Sitting $round, bool $open): array
    {
        $work = $open ? $this->works->newest($round, WorkKind::Export) : null;
        $made = $open ? RoundExport::made($round) : null;

        return [
            'work' => $work?->state->isUnderWay() === true ? $work : null,
            'problem' => $work?->state === WorkState::Failed ? $work->says() : null,
            'size' => $made === null ? null : Number::fileSize(Storage::disk(RoundExport::DISK)->size($made)),
        ];
    }

    private function title(Sitting $round, RoundSummary $figures, bool $open): string
    {
        if ($figures->pooled === null) {
            return (string) __('agreement.no-reading');
        }
        if (! $open) {
            return (string) __('agreement.own-title', ['round' => $round->name]);
        }
        $least = AgreementFaults::leastAgreed($figures, 1);

        return $least === []
            ? (string) __('agreement.page')
            : (string) __('agreement.title', ['fault' => $this->codebooks->of($round)->faults[$least[0]]->name]);
    }

    private function about(Sitting $round, RoundSummary $figures): string
    {
        $left = array_filter($figures->leftOut, static fn (int $n): bool => $n > 0);
        $parts = [
            $round->name,
            trans_choice('agreement.cases', $figures->cases, ['count' => $figures->cases]),
            __('agreement.key', ['version' => (string) ($figures->keyVersion ?? '–')]),
            __('agreement.ranges'),
        ];
        if ($left !== []) {
            $said = array_map(static fn (string $why, int $n): string => "$n $why", array_keys($left), $left);
            $parts[] = __('agreement.left-out', ['what' => implode(', ', $said)]);
        }

        return implode(' · ', array_map(strval(...), $parts));
    }

    /**
     * @param  list<string>  $parts
     * @return list<array{word: string, url: string, here: bool}>
     */
    private static function tabs(Sitting $round, string $part, array $parts): array
    {
        return array_map(
            static fn (string $p): array => [
                'word' => (string) __("agreement.parts.$p"),
                'url' => route('agreement', $p === 'overview' ? [$round] : [$round, 'part' => $p]),
                'here' => $p === $part,
            ],
            $parts,
        );
    }

    /** @return list<array{word: string, url: string, here: bool}>  the rounds this person may see, newest first */
    private function rounds(User $user, Sitting $round): array
    {
        $all = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->withSeatOf($user)
            ->orderByDesc('published_at')
            ->orderByDesc('id')
            ->get()
            ->filter(static fn (Sitting $x): bool => Gate::forUser($user)->allows('viewResult', $x))
            ->all();

        return count($all) < 2
            ? []
            : array_map(
                static fn (Sitting $x): array => [
                    'word' => $x->name,
                    'url' => route('agreement', $x),
                    'here' => $x->id === $round->id,
                ],
                array_values($all),
            );
    }
}
