<?php

declare(strict_types=1);

namespace App\Report\Pages;

use App\Agreement\KeptFigures;
use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\DebriefDecision;
use App\Models\RoundReport;
use App\Models\Sitting;
use App\Report\ReportFacts;
use Core\Agreement\Study\ItemSummary;
use Core\Agreement\Study\ReadersTogether;
use Core\Agreement\Study\RoundSummary;
use Core\Codebook\Codebook;
use Core\Number\Written;
use Core\Sight\SmallCells;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;

/** A round on one page, for those who pay for it: no golfer, no instructor, plain words, and what is not known. */
final readonly class BoardPage
{
    private const EACH = 3;

    private const DECISIONS = 5;

    /** Letters of what is said and decided from which on they are set smaller. */
    private const MUCH = 700;

    /** Letters of a decision that find room on one page; the whole stands in the minutes. */
    private const LETTERS = 84;

    /** Faults as rare as this make few calls too many weigh much. */
    private const RARE = 0.25;

    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round): array
    {
        $kept = KeptFigures::ofRound($round);
        $r = $kept->summary();
        $facts = ReportFacts::of($round);
        $codebook = $this->codebooks->of($round);
        $few = $facts->numbers->readers < SmallCells::LEAST;
        $decided = self::decisions($round);
        $meaning = Str::squish(RoundReport::of($round)->meaning);

        return [
            'round' => $round,
            'academy' => Academy::query()->find(Academy::ID)->name ?? '',
            'title' => (string) __('report.board.title', ['round' => $round->name]),
            'what' => (string) __('report.board.what', [
                'day' => $round->published_at?->timezone(Academy::zone())->format('j F Y') ?? '',
                'readers' => $facts->numbers->readers,
                'cases' => $facts->numbers->cases,
                'faults' => count($codebook->faults),
            ]),
            'few' => $few,
            'figures' => $few ? [] : self::figures($r),
            'best' => $few ? [] : self::faults($r, $codebook, true),
            'worst' => $few ? [] : self::faults($r, $codebook, false),
            'drills' => $few ? '' : self::drills($kept),
            'decisions' => array_slice($decided, 0, self::DECISIONS),
            'more' => max(0, count($decided) - self::DECISIONS),
            'meaning' => $meaning,
            'dense' => strlen($meaning) + strlen(implode('', array_column($decided, 'what'))) > self::MUCH,
            'rare' => ! $few && $facts->prevalence !== null && $facts->prevalence < self::RARE
                ? (string) __('report.board.rare', ['share' => Written::fixed(100.0 * $facts->prevalence, 0)])
                : '',
            'unsure' => count(array_filter(
                $r->items,
                static fn (ItemSummary $i): bool => $i->isSeenAlike() === null,
            )),
            'all' => count($r->items),
        ];
    }

    /** @return list<array{value: string, says: string}> */
    private static function figures(RoundSummary $r): array
    {
        $out = [];
        $present = $r->pooled->specific['present'] ?? null;
        if ($present?->estimate !== null) {
            $out[] = [
                'value' => Shares::percent($present),
                'says' => (string) __('report.board.present'),
            ];
        }
        foreach (['sensitivity', 'specificity'] as $figure) {
            $of = ReadersTogether::of($r->againstKey, $figure, SmallCells::LEAST);
            if ($of !== null) {
                $out[] = [
                    'value' => (string) __('report.board.middle', Shares::together('value', $of)),
                    'says' => (string) __("report.board.$figure"),
                ];
            }
        }

        return $out;
    }

    /** @return list<string> those that are surely seen alike, or surely not; the surest first */
    private static function faults(RoundSummary $r, Codebook $codebook, bool $alike): array
    {
        $of = array_map(
            static fn (ItemSummary $i): float => $i->specific['present']->{$alike ? 'low' : 'high'} ?? 0.0,
            array_filter($r->items, static fn (ItemSummary $i): bool => $i->isSeenAlike() === $alike),
        );
        $alike ? arsort($of) : asort($of);

        return array_map(static fn (string $key): string => (string) __('report.board.fault', [
            'fault' => $codebook->faults[$key]->name ?? $key,
            'present' => Shares::percent($r->items[$key]->specific['present']),
        ]), array_slice(array_map(strval(...), array_keys($of)), 0, self::EACH));
    }

    private static function drills(KeptFigures $kept): string
    {
        $people = $kept->advice()->beside ?? [];
        $helps = ReadersTogether::of($people, 'helps', SmallCells::LEAST);
        $unsafe = ReadersTogether::of($people, 'unsafe', SmallCells::LEAST);

        return $helps === null || $unsafe === null ? '' : (string) __('report.board.drills', [
            ...Shares::together('helps', $helps),
            ...Shares::together('unsafe', $unsafe),
        ]);
    }

    /** @return list<array{what: string, state: string}> what its debriefs decided, open ones first */
    private static function decisions(Sitting $round): array
    {
        return array_values(DebriefDecision::query()
            ->whereHas('session', static fn (Builder $q) => $q->where('sitting_id', $round->id))
            ->orderByRaw('done_at is not null, id')
            ->get()
            ->map(static fn (DebriefDecision $d): array => [
                'what' => Str::limit($d->what, self::LETTERS, '…', true),
                'state' => (string) ($d->done_at === null
                    ? __($d->due_on === null ? 'report.board.open' : 'report.board.due', [
                        'day' => $d->due_on?->format('j F Y') ?? '',
                    ])
                    : __('report.board.done', [
                        'day' => $d->done_at->timezone(Academy::zone())->format('j F Y'),
                    ])),
            ])->all());
    }
}
