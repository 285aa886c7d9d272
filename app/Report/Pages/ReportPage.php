<?php

declare(strict_types=1);

namespace App\Report\Pages;

use App\Agreement\KeptFigures;
use App\Agreement\Pages\AgreementArms;
use App\Agreement\Pages\AgreementFaults;
use App\Codebook\Codebooks;
use App\Http\Pdf;
use App\Models\Academy;
use App\Models\RoundReport;
use App\Models\Sitting;
use App\Report\ReportFacts;
use App\Words\Wording;
use Core\Agreement\Figure;
use Core\Agreement\Study\ReadersTogether;
use Core\Agreement\Study\RoundLimits;
use Core\Agreement\Study\RoundSummary;
use Core\Codebook\Codebook;
use Core\Drawing\Forest;
use Core\Drawing\ForestRow;
use Core\Remark\Remark;
use Core\Sight\SmallCells;

/**
 * A round's report, in the order of the guideline for studies of reliability and agreement (Kottner and others 2011):
 * each section says which of its items it answers. No golfer and no reader can be told from it.
 *
 * @phpstan-type Chart array{broad: Forest, slim: Forest}
 */
final readonly class ReportPage
{
    /** Which of the guideline's items a section answers; the first is the title's. */
    private const ANSWERS = [
        'purpose' => [1, 5], 'instrument' => [2], 'swings' => [3, 7, 12], 'readers' => [4, 7, 12], 'size' => [6],
        'process' => [8, 9], 'key' => [8], 'analysis' => [10], 'held' => [11], 'overall' => [13], 'faults' => [13],
        'against-key' => [13], 'self' => [13], 'shown' => [13], 'advice' => [13], 'limits' => [14], 'meaning' => [14],
        'sources' => [15],
    ];

    private const ITEMS = 15;

    private const OVERALL = ['present', 'absent', 'krippendorff_alpha', 'gwet_ac1', 'percent_agreement'];

    private const ADVICE = ['causes', 'chain', 'priority', 'decision', 'helps', 'harms', 'unsafe'];

    public function __construct(
        private Codebooks $codebooks,
        private AgreementFaults $faults,
        private AgreementArms $arms,
        private Wording $words,
        private ReportMethods $methods,
    ) {
    }

    /** @return array<string, mixed> for paper: with its figures as pictures */
    public function printed(Sitting $round): array
    {
        $says = $this->of($round);
        $pictures = [];
        foreach (['faults' => $says['byFault'], 'key' => $says['key']['chart']] as $name => $chart) {
            if ($chart !== null) {
                $pictures[$name] = Pdf::picture('report.picture', ['chart' => $chart['broad']]);
            }
        }

        return [...$says, 'pictures' => $pictures];
    }

    /** @return array{byFault: Chart, key: array{shown: bool, chart: Chart|null}, ...} */
    public function of(Sitting $round): array
    {
        $kept = KeptFigures::ofRound($round);
        $summary = $kept->summary();
        $facts = ReportFacts::of($round);
        $words = RoundReport::of($round);
        $codebook = $this->codebooks->of($round);
        $numbers = $facts->numbers;

        return [
            'round' => $round,
            'academy' => Academy::query()->find(Academy::ID)->name ?? '',
            'words' => $words,
            'title' => trans_choice('report.title', $numbers->readers, [
                'count' => $numbers->readers,
                'cases' => trans_choice('report.cases', $numbers->cases, ['count' => $numbers->cases]),
            ]),
            'about' => (string) __('report.about', [
                'round' => $round->name,
                'day' => $round->published_at?->timezone(Academy::zone())->format('j F Y') ?? '',
            ]),
            'abstract' => $this->abstract($facts, $summary),
            'methods' => $this->methods->of($round, $facts, $summary, $codebook),
            'held' => $this->methods->held($facts, $summary),
            'overall' => $this->overall($summary),
            'faults' => $this->faults->of($summary, $codebook),
            'byFault' => Readers::chart(self::byFault($summary, $codebook), 290.0),
            'key' => self::againstKey($summary),
            'self' => self::self($kept, $numbers->repeats),
            'shown' => $this->arms->of($kept->arms()),
            'advice' => self::advice($kept),
            'limits' => array_map(
                fn (Remark $r): string => $this->words->said($r),
                RoundLimits::of($numbers, $summary, $facts->questions()),
            ),
            'sources' => $this->methods->sources($round, $kept, $summary),
            'answers' => array_map(static fn (array $items): string => trans_choice('report.item', count($items), [
                'items' => implode(', ', $items),
            ]), self::ANSWERS),
            'items' => self::items(),
        ];
    }

    /** @return list<array{number: int, says: string, in: string}> the guideline, item by item */
    private static function items(): array
    {
        return array_map(static fn (int $item): array => [
            'number' => $item,
            'says' => (string) __("report.items.$item"),
            'in' => implode('; ', [
                ...$item === 1 ? [(string) __('report.in-title')] : [],
                ...array_map(
                    static fn (string $section): string => (string) __("report.heads.$section"),
                    array_keys(array_filter(self::ANSWERS, static fn (array $of): bool => in_array($item, $of, true))),
                ),
            ]),
        ], range(1, self::ITEMS));
    }

    /** @return list<string> what was asked, and the answer in the fewest figures */
    private function abstract(ReportFacts $facts, RoundSummary $r): array
    {
        $numbers = $facts->numbers;
        $present = $r->pooled->specific['present'] ?? null;
        $alpha = $r->pooled->coefficients['krippendorff_alpha'] ?? null;
        $found = ReadersTogether::of($r->againstKey, 'sensitivity', SmallCells::LEAST);
        $right = ReadersTogether::of($r->againstKey, 'specificity', SmallCells::LEAST);

        return array_values(array_filter([
            (string) __('report.abstract.asked', [
                'readers' => $numbers->readers,
                'cases' => $numbers->cases,
                'golfers' => $numbers->golfers,
                'faults' => count($r->items),
            ]),
            $present?->estimate === null || $alpha?->estimate === null ? (string) __('report.abstract.nothing')
                : (string) __('report.abstract.agree', [
                    'present' => Shares::percent($present),
                    'alpha' => Shares::fixed($alpha),
                ]),
            $found === null || $right === null ? '' : (string) __('report.abstract.key', [
                ...Shares::together('found', $found),
                ...Shares::together('right', $right),
            ]),
        ], static fn (string $line): bool => $line !== ''));
    }

    /** @return list<array{name: string, figure: ?Figure, percent: bool, like: string}> */
    private function overall(RoundSummary $r): array
    {
        $figures = [...$r->pooled->specific ?? [], ...$r->pooled->coefficients ?? []];

        return array_map(function (string $name) use ($figures): array {
            $percent = ! in_array($name, ['krippendorff_alpha', 'gwet_ac1'], true);
            $new = ($figures[$name] ?? null)?->newReaders;

            return [
                'name' => (string) __("report.overall.$name"),
                'figure' => $figures[$name] ?? null,
                'percent' => $percent,
                'like' => match (true) {
                    $new === null => (string) __('figures.none'),
                    $new->low === null => $new->reason === null ? '' : $this->words->said($new->reason),
                    default => Shares::range($new->low, $new->high, $percent),
                },
            ];
        }, self::OVERALL);
    }

    /** @return list<ForestRow> agreement on "present" fault by fault, the codebook's order */
    private static function byFault(RoundSummary $r, Codebook $codebook): array
    {
        $rows = [];
        foreach ($codebook->faults as $key => $fault) {
            $present = $r->items[$key]->specific['present'] ?? null;
            if ($present?->estimate !== null) {
                $rows[] = new ForestRow($fault->name, Readers::estimates(['agreement' => $present]));
            }
        }

        return $rows;
    }

    /**
     * @return array{shown: bool, rows: list<array{name: string, n: int, figures: list<Figure>}>,
     *     chart: Chart|null}
     */
    private static function againstKey(RoundSummary $r): array
    {
        $readers = Readers::of($r->againstKey);

        return [
            'shown' => $readers->areShown(),
            'rows' => $readers->rows(),
            'chart' => $readers->areShown() ? Readers::chart($readers->drawn(), 90.0) : null,
        ];
    }

    private static function self(KeptFigures $kept, int $repeats): string
    {
        $people = $repeats === 0 ? [] : $kept->item()->self ?? [];
        $same = ReadersTogether::of($people, 'percent_agreement', SmallCells::LEAST);

        return match (true) {
            $repeats === 0 => (string) __('report.self.none'),
            $same === null => (string) __('report.self.few', ['cases' => $repeats]),
            default => (string) __('report.self.same', [
                'cases' => $repeats,
                ...Shares::together('same', $same),
            ]),
        };
    }

    /** @return array{among: list<array{name: string, figure: Figure}>, beside: list<string>}|null */
    private static function advice(KeptFigures $kept): ?array
    {
        $advice = $kept->advice();
        if ($advice === null) {
            return null;
        }
        $beside = [];
        foreach (self::ADVICE as $name) {
            $of = ReadersTogether::of($advice->beside, $name, SmallCells::LEAST);
            if ($of !== null) {
                $beside[] = (string) __("report.advice.$name", Shares::together('share', $of));
            }
        }

        return [
            'among' => array_map(static fn (string $what, Figure $f): array => [
                'name' => (string) __("agreement.advice.among.$what.name"),
                'figure' => $f,
            ], array_keys($advice->among), $advice->among),
            'beside' => $beside,
        ];
    }
}
