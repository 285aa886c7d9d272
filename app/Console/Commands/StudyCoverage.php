<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TextOptions;
use Core\Simulation\CoverageStudy;
use Core\Version;
use Illuminate\Console\Command;

final class StudyCoverage extends Command
{
    use TextOptions;

    protected $signature = 'study:coverage {--studies=2000} {--cases=50,100} {--prevalence=0.2,0.35,0.5,0.65,0.8} {--bootstrap=500} {--out=}';

    protected $description = 'How often the 95 % intervals of every figure hold the truth, in simulated studies; makes docs/coverage.md';

    public function handle(): int
    {
        $studies = max(10, (int) $this->option('studies'));
        $sizes = array_map(intval(...), explode(',', $this->text('cases')));
        $prevalences = array_map(floatval(...), explode(',', $this->text('prevalence')));
        $text = $this->opening($studies);
        $outside = [];
        foreach ($prevalences as $prevalence) {
            $study = new CoverageStudy($prevalence);
            $truth = $study->truth();
            foreach ($sizes as $n) {
                $this->info("prevalence $prevalence, $n cases");
                $plain = $study->run($truth, $n, $studies);
                $resampled = (int) $this->option('bootstrap') > 0 ? $study->run($truth, $n, $studies, (int) $this->option('bootstrap')) : [];
                $text .= sprintf("\n## %g of cases with the fault, %d cases\n\n| figure | truth | covered | below · above | mean width |%s\n|---|---|---|---|---|%s\n", $prevalence, $n, $resampled === [] ? '' : ' resampled: covered | below · above | mean width |', $resampled === [] ? '' : '---|---|---|');
                foreach ($plain as $name => $r) {
                    $own = isset($resampled[$name]) && $resampled[$name]['width'] !== $r['width'] ? $resampled[$name] : null;
                    $text .= sprintf("| %s | %.3f | %s |%s\n", $name, $r['truth'], self::cells($r), $resampled === [] ? '' : ($own === null ? ' – | | |' : ' '.self::cells($own).' |'));
                    foreach (['' => $r, ', resampled' => $own] as $which => $of) {
                        if ($of !== null && ($of['covered'] < 0.93 || $of['covered'] > 0.97)) {
                            $outside[$name.$which][] = sprintf('%.1f %% (prevalence %g, %d cases)', 100 * $of['covered'], $prevalence, $n);
                        }
                    }
                }
            }
        }
        $text .= "\n## Outside 93–97 %\n\n".($outside === [] ? "None.\n" : implode('', array_map(static fn (string $name, array $list): string => "- **$name**: ".implode('; ', $list)."\n", array_keys($outside), $outside)));
        $out = $this->option('out');
        is_string($out) ? file_put_contents($out, $text) : $this->line($text);

        return self::SUCCESS;
    }

    private function opening(int $studies): string
    {
        return sprintf(<<<'MD'
# How often the intervals hold the truth

Made by `php artisan study:coverage --out=docs/coverage.md`, core %s, seed "coverage". Six raters with hit rates and
false-alarm rates of their own rate %s simulated studies of each size; cases are drawn anew each time, a quarter of them
unclear, where all raters do worse together. The truth is each figure on a million cases. Asked for: 95 %%, accepted: 93 to
97 %%; a share of 95 %% found in %s studies is itself uncertain by ±%.1f %%. Not resampled columns: analytic, Wilson or jackknife
intervals; resampled: BCa with %d replicates where a figure is resampled. "Below · above": intervals that lie wholly below
and wholly above the truth.

MD, Version::CURRENT, number_format($studies), number_format($studies), 196 * sqrt(0.95 * 0.05 / $studies), (int) $this->option('bootstrap'));
    }

    /** @param  array{covered: float, below: float, above: float, width: float, without: int}  $r */
    private static function cells(array $r): string
    {
        return sprintf('%.1f %%%s | %.1f · %.1f | %.3f', 100 * $r['covered'], $r['without'] > 0 ? " ({$r['without']} without)" : '', 100 * $r['below'], 100 * $r['above'], $r['width']);
    }
}
