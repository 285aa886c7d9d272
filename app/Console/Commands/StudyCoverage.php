<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\RoundCoverage;
use App\Console\StudyFile;
use App\Console\TextOptions;
use App\Console\Workers;
use Core\Simulation\CoverageStudy;
use Core\Simulation\ScaleCoverage;
use Core\Version;
use Illuminate\Console\Command;

final class StudyCoverage extends Command
{
    use StudyFile;
    use TextOptions;

    protected $signature = 'study:coverage {--studies=2000} {--cases=50,100} {--prevalence=0.2,0.35,0.5,0.65,0.8} '
        .'{--scale=nominal,ordinal,interval} {--bootstrap=500} {--rounds=0.05,0.2,0.5,0.8 : how often faults are there, of '
        .'rounds of golfers; none for no rounds} '
        .'{--round-studies=2000} {--processes=1} '
        .'{--truth=1000000 : cases on which the truth is taken} {--out=}';

    protected $description = 'How often the 95 % intervals of every figure hold the truth, in simulated studies; '
        .'makes docs/coverage.md';

    public function handle(): int
    {
        $studies = max(10, (int) $this->option('studies'));
        $sizes = array_map(intval(...), explode(',', $this->text('cases')));
        $bootstrap = max(0, (int) $this->option('bootstrap'));
        $text = $this->opening($studies);
        $tasks = [];
        foreach ($this->studies() as $what => $study) {
            foreach ($sizes as $n) {
                $tasks[] = fn (): string => $this->plain($what, $study, $n, $studies, $bootstrap);
            }
        }
        array_push($tasks, ...$this->rounds()?->tasks() ?? []);
        $outside = [];
        $processes = max(1, (int) $this->text('processes'));
        $done = 0;
        foreach (Workers::map($processes, array_fill(0, count($tasks), 1.0), static fn (int $i): string => $tasks[$i]()) as $made) {
            /** @var array{text: string, outside: list<array{string, string}>} $part */
            $part = json_decode($made, true, 8, JSON_THROW_ON_ERROR);
            $text .= $part['text'];
            foreach ($part['outside'] as [$name, $how]) {
                $outside[$name][] = $how;
            }
            $this->info(++$done.' of '.count($tasks));
        }
        $text .=
            "\n## Outside 93–97 %\n\n".
            ($outside === []
                ? "None.\n"
                : implode(
                    '',
                    array_map(
                        static fn (string $name, array $list): string => "- **$name**: ".implode('; ', $list)."\n",
                        array_keys($outside),
                        $outside,
                    ),
                ));

        return $this->put($text);
    }

    private function plain(
        string $what,
        CoverageStudy|ScaleCoverage $study,
        int $n,
        int $studies,
        int $bootstrap,
    ): string {
        $truth = $study->truth(max(1000, (int) $this->text('truth')));
        $plain = $study->run($truth, $n, $studies);
        $resampled = $bootstrap > 0 ? $study->run($truth, $n, $studies, $bootstrap) : [];
        $outside = [];
        $text = sprintf(
            "\n## %s, %d cases\n\n| figure | truth | covered | below · above | mean width "
                ."|%s\n|---|---|---|---|---|%s\n",
            ucfirst($what),
            $n,
            $resampled === [] ? '' : ' resampled: covered | below · above | mean width |',
            $resampled === [] ? '' : '---|---|---|',
        );
        foreach ($plain as $name => $r) {
            $own = isset($resampled[$name]) && $resampled[$name]['width'] !== $r['width'] ? $resampled[$name] : null;
            $text .= sprintf(
                "| %s | %.3f | %s |%s\n",
                $name,
                $r['truth'],
                self::cells($r, $studies),
                $resampled === []
                    ? ''
                    : ($own === null
                        ? ' – | | |'
                        : ' '.self::cells($own, $studies).' |'),
            );
            foreach (['' => $r, ', resampled' => $own] as $which => $of) {
                if ($of !== null && $of['without'] < $studies && ($of['covered'] < 0.93 || $of['covered'] > 0.97)) {
                    $outside[] = [$name.$which, sprintf('%.1f %% (%s, %d cases)', 100 * $of['covered'], $what, $n)];
                }
            }
        }

        return json_encode(['text' => $text, 'outside' => $outside], JSON_THROW_ON_ERROR);
    }

    private function rounds(): ?RoundCoverage
    {
        return $this->text('rounds') === 'none' ? null : new RoundCoverage(
            max(10, (int) $this->text('round-studies')),
            array_map(floatval(...), explode(',', $this->text('rounds'))),
        );
    }

    /** @return array<string, CoverageStudy|ScaleCoverage> by what is simulated */
    private function studies(): array
    {
        $scales = explode(',', $this->text('scale'));
        $out = [];
        if (in_array('nominal', $scales, true)) {
            foreach (explode(',', $this->text('prevalence')) as $prevalence) {
                $out[sprintf('%g of cases with the fault', (float) $prevalence)] = new CoverageStudy(
                    (float) $prevalence,
                );
            }
        }
        if (in_array('ordinal', $scales, true)) {
            foreach (ScaleCoverage::STEPS as $name => $steps) {
                $out["four ranks, $name"] = new ScaleCoverage($steps);
            }
        }
        if (in_array('interval', $scales, true)) {
            $out['numbers'] = new ScaleCoverage(null);
        }

        return $out;
    }

    private function opening(int $studies): string
    {
        return sprintf(
            <<<'MD'
            # How often the intervals hold the truth

            Made by `php artisan study:coverage --round-studies=%s --out=docs/coverage.md`, core %s, seed "coverage". Six raters with hit rates and
            false-alarm rates of their own rate %s simulated studies of each size; cases are drawn anew each time, a quarter of them
            unclear, where all raters do worse together. The truth is each figure on a million cases. Asked for: 95 %%, accepted: 93 to
            97 %%; a share of 95 %% found in %s studies is itself uncertain by ±%.1f %%. Not resampled columns: analytic, Wilson or jackknife
            intervals; resampled: BCa with %d replicates where a figure is resampled. "Below · above": intervals that lie wholly below
            and wholly above the truth.

            Ranks and numbers: five raters with a leaning and a noise of their own see a normal quantity, in four steps or to a tenth
            of a standard deviation. ICC(2,·) speaks for other raters too, where here the same raters come again; its intervals are
            wider than this truth needs. Where one column is empty the figure has no such interval.

            Rounds: golfers bring one to five swings, a fault and what makes a swing hard are alike within a golfer (correlation
            0.6), eight readers of different skill and leaning, 8 %% of calls missing and 8 %% "cannot tell"; the figures against a
            key, of a pair and of oneself are of one reader. Columns are per cent of intervals that hold the truth with so many
            golfers: asked for are 91 to 96 at 10, 93 to 97 from 15, 92 to 98 for readers like them. In bold what lies outside by
            more than its own error; "of" is how many studies had an interval. "Width" is with 30 golfers; with 60 there are golfers
            enough to resample (a quarter as many studies, 300 resamples). %s studies a cell; the truth is on 9,000 golfers.

            MD
            ,
            $this->text('round-studies'),
            Version::AGREEMENT,
            number_format($studies),
            number_format($studies),
            196 * sqrt((0.95 * 0.05) / $studies),
            (int) $this->option('bootstrap'),
            number_format((int) $this->text('round-studies')),
        );
    }

    /** @param  array{covered: float, below: float, above: float, width: float, without: int}  $r */
    private static function cells(array $r, int $studies): string
    {
        return $r['without'] >= $studies
            ? '– | – | –'
            : sprintf(
                '%.1f %%%s | %.1f · %.1f | %.3f',
                100 * $r['covered'],
                $r['without'] > 0 ? " ({$r['without']} without)" : '',
                100 * $r['below'],
                100 * $r['above'],
                $r['width'],
            );
    }
}
