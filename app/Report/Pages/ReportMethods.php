<?php

declare(strict_types=1);

namespace App\Report\Pages;

use App\Agreement\KeptFigures;
use App\Agreement\RoundExport;
use App\Codebook\Codebooks;
use App\Models\Academy;
use App\Models\Sitting;
use App\Report\ReportFacts;
use App\Words\Term;
use Core\Agreement\Study\RoundSummary;
use Core\Codebook\Codebook;
use Core\Consensus\Grade;
use Core\CoreException;
use Core\Number\Written;
use Core\Planning\Assumptions;
use Core\Planning\WidthFormula;
use Core\Sight\SmallCells;
use Core\Trace\DeviceClass;
use Illuminate\Support\Facades\Storage;

/** The methods of a round's report, from how the round was held: section by section, a sentence a line. */
final readonly class ReportMethods
{
    /** What the width to be expected is worked out for. */
    private const AGREEMENT = 0.8;

    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @return array<string, list<string>> lines by section */
    public function of(Sitting $round, ReportFacts $facts, RoundSummary $r, Codebook $codebook): array
    {
        $lens = $this->codebooks->of($round)->lens->name;

        return array_map(self::said(...), [
            'instrument' => [
                (string) __('report.instrument.sheet', ['faults' => count($codebook->faults)]),
                (string) __('report.instrument.codebook', ['version' => $round->codebook_version, 'lens' => $lens]),
                (string) __('report.instrument.shown', ['shown' => self::list($facts->shown, 'report.shown')]),
                (string) __('report.instrument.devices', ['devices' => implode(', ', array_map(
                    static fn (string $class, int $n): string => Term::device(DeviceClass::from($class))." ($n)",
                    array_keys($facts->devices),
                    $facts->devices,
                ))]),
            ],
            'swings' => self::swings($facts),
            'readers' => [trans_choice('report.readers.are', $facts->numbers->readers, [
                'count' => $facts->numbers->readers,
            ])],
            'size' => [self::size($facts)],
            'process' => [
                (string) __('report.process.order', ['seed' => $round->seed]),
                (string) __('report.process.blind'),
                $round->reveals ? (string) __('report.process.reveals') : '',
                self::repeats($facts, $round),
                (string) __('report.process.alone'),
            ],
            'key' => self::key($round, $facts),
            'analysis' => [
                (string) __('report.analysis.coefficients'),
                (string) __('report.analysis.intervals', [
                    'resamples' => Written::fixed($r->bootstrap, 0),
                    'seed' => $r->seed,
                ]),
                (string) __('report.analysis.missing'),
                (string) __('report.analysis.against'),
                (string) __('report.analysis.many'),
            ],
        ]);
    }

    /** @return list<string> what came of it: who and what was included */
    public function held(ReportFacts $facts, RoundSummary $r): array
    {
        $n = $facts->numbers;

        return self::said([
            (string) __('report.held.readings', [
                'handed' => $n->handedIn,
                'dealt' => $n->dealt,
                'readers' => $n->readers,
                'calls' => Written::fixed($n->calls, 0),
            ]),
            (string) __('report.held.abstained', ['n' => array_sum($r->cannotTell)]),
            $facts->questions() === 0 ? '' : (string) __('report.held.left', [
                'of' => $facts->questions(),
                ...array_combine(
                    ['contested', 'conflict', 'unseen', 'exposed'],
                    array_map(
                        static fn (string $why): int => $r->leftOut[$why] ?? 0,
                        ['contested', 'conflict', 'not observable', 'exposed'],
                    ),
                ),
            ]),
        ]);
    }

    /**
     * @param  list<string>  $lines
     * @return list<string> those that say something
     */
    private static function said(array $lines): array
    {
        return array_values(array_filter($lines, static fn (string $line): bool => $line !== ''));
    }

    /** @return list<array{name: string, value: string}> what another would need to get the same figures */
    public function sources(Sitting $round, KeptFigures $kept, RoundSummary $r): array
    {
        $export = RoundExport::made($round);
        $key = $round->keyVersion;
        $with = [
            'inputs' => $kept->result->inputs_checksum,
            'core' => $kept->result->core_version,
            'seed' => (string) $r->seed,
            'order' => $round->seed,
            'codebook' => $round->codebook_version,
            'key' => $key === null ? (string) __('figures.none') : "$key->number ($key->inputs_checksum)",
            'export' => $export === null ? (string) __('report.sources.no-export')
                : 'sha256 '.hash('sha256', (string) Storage::disk(RoundExport::DISK)->get($export)),
            'computed' => $kept->result->updated_at->timezone(Academy::zone())->format('j F Y, H:i'),
        ];

        return array_map(static fn (string $what, string $value): array => [
            'name' => (string) __("report.sources.$what"),
            'value' => $value,
        ], array_keys($with), $with);
    }

    /** @return list<string> */
    private static function swings(ReportFacts $facts): array
    {
        $n = $facts->numbers;

        return [
            (string) __('report.swings.are', [
                'cases' => trans_choice('report.cases', $n->cases, ['count' => $n->cases]),
                'kinds' => self::list($facts->kinds, 'report.kinds'),
                'swings' => $facts->swings,
                'golfers' => $n->golfers,
            ]),
            (string) __('report.swings.chosen'),
            self::cells($facts->handed, 'handed'),
            self::cells($facts->ages, 'ages'),
            $facts->reserved > 0 ? (string) __('report.swings.reserved', ['n' => $facts->reserved]) : '',
        ];
    }

    private static function cells(SmallCells $cells, string $of): string
    {
        if ($cells->told === []) {
            return (string) __("report.$of.few");
        }
        $parts = array_map(
            static fn (string $what, int $n): string => __("report.$of.$what")." ($n)",
            array_keys($cells->told),
            $cells->told,
        );
        if ($cells->together > 0) {
            $parts[] = implode(__('report.or'), array_map(
                static fn (string $what): string => (string) __("report.$of.$what"),
                $cells->merged,
            ))." ({$cells->together})";
        }

        return (string) __("report.$of.are", ['what' => implode(', ', $parts)]);
    }

    /** The width that was to be expected with as many readers and cases, if two readers said the same as often. */
    private static function size(ReportFacts $facts): string
    {
        $n = $facts->numbers;
        $share = $facts->prevalence;
        try {
            $width = $share === null ? null : (new WidthFormula(
                new Assumptions($share, self::AGREEMENT, $n->readers),
                'gwet_ac1',
            ))->width($n->cases);
        } catch (CoreException) {
            $width = null;
        }

        return $width === null ? (string) __('report.size.unknown') : (string) __('report.size.width', [
            'readers' => $n->readers,
            'cases' => $n->cases,
            'agreement' => Written::fixed(100.0 * self::AGREEMENT, 0),
            'share' => Written::fixed(100.0 * ($share ?? 0.0), 0),
            'width' => Written::fixed($width, 2),
        ]);
    }

    private static function repeats(ReportFacts $facts, Sitting $round): string
    {
        return $facts->numbers->repeats === 0 ? (string) __('report.process.once') : (string) __(
            $facts->numbers->waited ? 'report.process.later' : 'report.process.within',
            ['cases' => $facts->numbers->repeats, 'days' => $round->wait_days],
        );
    }

    /** @return list<string> */
    private static function key(Sitting $round, ReportFacts $facts): array
    {
        $key = $round->keyVersion;
        if ($key === null) {
            return [(string) __('report.key.none')];
        }
        $grades = [];
        foreach (Grade::cases() as $grade) {
            if (($facts->grades[$grade->value] ?? 0) > 0) {
                $grades[] = Term::grade($grade).': '.$facts->grades[$grade->value];
            }
        }

        return [
            (string) __('report.key.made', ['members' => $facts->numbers->members, 'version' => $key->number]),
            trans_choice('report.key.rounds', $facts->followed, ['count' => $facts->followed]),
            (string) __('report.key.grades', ['grades' => implode('; ', $grades)]),
            (string) __('report.key.measured'),
        ];
    }

    /** @param  array<string, int>  $counts */
    private static function list(array $counts, string $words): string
    {
        return implode(', ', array_map(
            static fn (string $what, int $n): string => __("$words.$what")." ($n)",
            array_keys($counts),
            $counts,
        ));
    }
}
