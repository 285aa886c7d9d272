<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\StudyFile;
use App\Console\TextOptions;
use App\Console\Workers;
use Core\Agreement\Wilson;
use Core\Codebook\Codebook;
use Core\Codebook\Observability;
use Core\Codebook\StandardLenses;
use Core\Simulation\DetectionStudy;
use Core\Version;
use Illuminate\Console\Command;

/**
 * @phpstan-import-type Count from DetectionStudy
 */
final class StudyDetection extends Command
{
    use StudyFile;
    use TextOptions;

    /** A cell with fewer golfers is told, not judged. */
    private const LEAST = 100;

    protected $signature = 'study:detection {--golfers=1500} {--processes=2} {--seed=detection} '
        .'{--out= : a Markdown file to write}';

    protected $description = 'How often the rules find what is there and support what is not, by instrument and lens; '
        .'makes docs/detection.md';

    public function handle(): int
    {
        $golfers = max(1, (int) $this->option('golfers'));
        $seed = $this->text('seed');
        $bar = $this->output->createProgressBar($golfers);
        $one = static function (int $i) use ($seed): string {
            $part = new DetectionStudy($seed);
            $part->golfer($i);

            return serialize($part);
        };
        $study = new DetectionStudy($seed);
        foreach (Workers::map((int) $this->option('processes'), array_fill(0, $golfers, 1.0), $one) as $part) {
            $added = unserialize($part, ['allowed_classes' => [DetectionStudy::class, Observability::class]]);
            if ($added instanceof DetectionStudy) {
                $study->add($added);
            }
            $bar->advance();
        }
        $bar->finish();
        $this->newLine();

        return $this->put($this->markdown($study, $golfers, $seed));
    }

    private function markdown(DetectionStudy $study, int $golfers, string $seed): string
    {
        return implode("\n", [
            '# Detection and false alarm',
            '',
            "Made by `php artisan study:detection --golfers=$golfers --seed=$seed --out=docs/detection.md`, core "
                .'version '.Version::CURRENT.'. Do not edit.',
            '',
            sprintf(
                '%d simulated golfers of both hands with three kinds of club: %d without any fault planted, the others '
                    .'with two to four of any strength. Every instrument records with its own noise and constant '
                    .'errors; the stations are those that the program finds, in points where there are any, else in '
                    .'film. **The reference is what the same rules say of the true values**: forces and points without '
                    .'error, at the true stations. A fault is there where they support it; where they neither support '
                    .'nor contradict it, it is not.',
                $study->golfers,
                $study->ordinary,
            ),
            '',
            'So the tables test instrument, stations, measures and ± together. They do **not** show whether a rule '
                .'agrees with coaches: that is what panels and rounds are for. The golfers obey mechanics but are '
                .'nobody’s recorded swings, and what an instrument does wrong beyond its noise and constant errors is '
                .'told in docs/quality.md.',
            ...$this->lenses($study),
            ...$this->alarms($study),
            ...$this->denied($study),
            ...$this->distances($study),
            ...$this->areas($study),
            '',
        ]);
    }

    /** @return list<string> */
    private function lenses(DetectionStudy $study): array
    {
        $arms = array_keys(DetectionStudy::ARMS);
        $lines = [];
        foreach (StandardLenses::rows() as $lens => $row) {
            $name = is_string($row['name']) ? $row['name'] : $lens;
            array_push(
                $lines,
                '',
                "## Found, by the lens “{$name}”",
                '',
                'Each cell: **supported with a clear margin**, of those who have it, in per cent with the 95 % interval '
                    .'(Wilson); in brackets how many more only lean that way or are borderline. Then *supported with a '
                    .'clear margin* of those who have it not. “–”: not observable. Indirect: judged by a proxy. '
                    .'Fewer than '.self::LEAST.' who have it: the count is shown in place of an interval.',
                '',
                '| fault | '.implode(' | ', $arms).' |',
                '|---|'.str_repeat('---|', count($arms)),
            );
            foreach (Codebook::standard($lens)->faults as $key => $fault) {
                $lines[] = "| $fault->name | ".implode(' | ', array_map(
                    static fn (string $arm): string => self::found($study->counts[$lens][$arm][$key] ?? null),
                    $arms,
                )).' |';
            }
        }

        return $lines;
    }

    /** @param  Count|null  $c */
    private static function found(?array $c): string
    {
        if ($c === null || $c['sight'] === Observability::NotObservable) {
            return '–';
        }
        $n = $c['present'];
        [$low, $high] = Wilson::interval($c['found'], max(1, $n));

        return ($c['sight'] === Observability::Indirect ? 'indirect ' : '')
            .match (true) {
                $n === 0 => 'none',
                $n < self::LEAST => "**$c[found] of $n**",
                default => sprintf('**%.0f** (%.0f–%.0f)', 100 * $c['found'] / $n, 100 * $low, 100 * $high),
            }
            .($n === 0 ? '' : sprintf(' (+%.0f)', $n < self::LEAST ? $c['leaning'] : 100 * $c['leaning'] / $n))
            .sprintf(', *%.1f*', 100 * $c['false'] / max(1, $c['absent']));
    }

    /** @return list<string> */
    private function alarms(DetectionStudy $study): array
    {
        $lines = [
            '',
            '## False alarms per 100 swings',
            '',
            'Faults supported with a clear margin that are not there, over all faults that an instrument can show or '
                .'hint at, per 100 swings.',
            '',
            '| instrument | '.implode(' | ', array_keys(StandardLenses::rows())).' |',
            '|---|'.str_repeat('---|', count(StandardLenses::rows())),
        ];
        foreach (array_keys(DetectionStudy::ARMS) as $arm) {
            $row = [$arm];
            foreach (array_keys(StandardLenses::rows()) as $lens) {
                $false = array_sum(array_column($study->counts[$lens][$arm] ?? [], 'false'));
                $row[] = sprintf('%.1f', 100 * $false / max(1, $study->golfers));
            }
            $lines[] = '| '.implode(' | ', $row).' |';
        }

        return $lines;
    }

    /** @return list<string> */
    private function denied(DetectionStudy $study): array
    {
        $lines = [];
        foreach ($study->counts as $lens => $arms) {
            foreach ($arms as $arm => $faults) {
                foreach ($faults as $key => $c) {
                    if ($c['denied'] > 0) {
                        $lines[] = "| $key | $lens | $arm | {$c['sight']->value} | $c[denied] of $c[present] |";
                    }
                }
            }
        }

        return [
            '',
            '## Denied wrongly',
            '',
            'Contradicted with a clear margin though it is there.',
            '',
            ...$lines === []
                ? ['None.']
                : ['| fault | lens | instrument | sight | denied |', '|---|---|---|---|---|', ...$lines],
        ];
    }

    /** @return list<string> */
    private function distances(DetectionStudy $study): array
    {
        $lines = [
            '',
            '## How often a verdict is wrong, by its distance from the threshold',
            '',
            'Distance in units of the value’s own ±; below 1 a verdict only leans. **Other side**: the true value lies '
                .'on the other side of the threshold that decided, beside how often that is to be expected of normal '
                .'errors as large as the ± says. **Opposite**: the true values say the opposite. All lenses and '
                .'instruments together.',
            '',
            '| sight | verdict | distance from | verdicts | other side, % | expected, % | opposite, % |',
            '|---|---|---|---|---|---|---|',
        ];
        foreach ($study->distances as $sight => $verdicts) {
            foreach ($verdicts as $verdict => $bins) {
                ksort($bins);
                foreach ($bins as $k => $bin) {
                    $lines[] = "| $sight | $verdict | ".sprintf(
                        '%.2f | %d | %.2f | %.2f | %.2f |',
                        DetectionStudy::DISTANCES[$k],
                        $bin['n'],
                        100 * $bin['other'] / $bin['n'],
                        100 * $bin['expected'] / $bin['n'],
                        100 * $bin['opposite'] / $bin['n'],
                    );
                }
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function areas(DetectionStudy $study): array
    {
        $arms = array_keys(DetectionStudy::ARMS);
        $lines = [
            '',
            '## How well the margin tells who has it, by severity',
            '',
            'Area under the curve of found against false alarm as the margin is moved (0.5 tells nothing, 1 all), '
                .'between golfers with the fault planted slight / clear / dominant – others beside it – and those with '
                .'none, under the default lens, where the fault is observable. “–”: too few.',
            '',
            '| fault | '.implode(' | ', $arms).' |',
            '|---|'.str_repeat('---|', count($arms)),
        ];
        foreach (Codebook::standard()->faults as $key => $fault) {
            $row = [];
            foreach ($arms as $arm) {
                $areas = array_map(static function (int $severity) use ($study, $arm, $key): string {
                    $area = $study->area($arm, $key, $severity);

                    return $area === null ? '–' : sprintf('%.2f', $area);
                }, [1, 2, 3]);
                $row[] = array_unique($areas) === ['–'] ? '–' : implode(' / ', $areas);
            }
            $lines[] = "| $fault->name | ".implode(' | ', $row).' |';
        }

        return $lines;
    }
}
