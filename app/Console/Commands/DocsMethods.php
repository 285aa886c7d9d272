<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\ConsoleException;
use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\Confidence;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Planning\Assumptions;
use Core\Planning\WidthFormula;
use Core\Version;
use Illuminate\Console\Command;

final class DocsMethods extends Command
{
    private const FLEISS = [
        '0 0 0 0 14',
        '0 2 6 4 2',
        '0 0 3 5 6',
        '0 3 9 2 0',
        '2 2 8 1 1',
        '7 7 0 0 0',
        '3 2 6 3 0',
        '2 5 3 2 2',
        '6 5 2 1 0',
        '0 2 2 3 7',
    ];

    private const OBSERVERS = [
        'A' => '1 2 3 3 2 1 4 1 2 . . .',
        'B' => '1 2 3 3 2 2 4 1 2 5 . 3',
        'C' => '. 3 3 3 2 3 4 2 2 5 1 .',
        'D' => '1 2 3 3 2 4 4 1 2 5 1 .',
    ];

    private const JUDGES = ['9 2 5 8', '6 1 3 2', '8 4 6 8', '7 1 2 6', '10 5 6 9', '6 2 4 7'];

    protected $signature = 'docs:methods {--check : only say whether the page is stale}';

    protected $description = 'Writes the computed parts of docs/methods.md anew';

    public function handle(): int
    {
        $path = base_path('docs/methods.md');
        $old = (string) file_get_contents($path);
        $new = $old;
        foreach (
            [
                'version' => 'Core version '.Version::CURRENT.'.',
                'widths' => $this->widths(),
                'tables' => $this->tables(),
            ] as $name => $text
        ) {
            $new =
                preg_replace_callback(
                    "/(<!-- made: $name -->\n).*?(<!-- \/made -->)/s",
                    static fn (array $m): string => $m[1].rtrim($text)."\n".$m[2],
                    $new,
                ) ?? throw ConsoleException::because('no-part', name: $name);
        }
        if ($this->option('check')) {
            $this->line(
                $new === $old ? 'docs/methods.md is up to date' : 'docs/methods.md is stale: php artisan docs:methods',
            );

            return $new === $old ? self::SUCCESS : self::FAILURE;
        }
        file_put_contents($path, $new);

        return self::SUCCESS;
    }

    private function widths(): string
    {
        $text =
            '| agreement of two raters | expected AC1 | 10 cases | 20 | 40 | 80 | cases for a width of 0.2 '
                ."|\n|---|---|---|---|---|---|---|\n";
        foreach ([0.7, 0.8, 0.9] as $agreement) {
            $formula = new WidthFormula(new Assumptions(0.3, $agreement, 8), 'gwet_ac1', new Confidence());
            $text .= sprintf(
                "| %d %% | %.2f | %s | %d |\n",
                100 * $agreement,
                $formula->expected,
                implode(
                    ' | ',
                    array_map(static fn (int $n): string => sprintf('%.2f', $formula->width($n)), [10, 20, 40, 80]),
                ),
                $formula->cases(0.2),
            );
        }

        return $text;
    }

    private function tables(): string
    {
        $fleiss = new RatingSet;
        foreach (self::FLEISS as $i => $row) {
            $rater = 0;
            foreach (explode(' ', $row) as $k => $n) {
                for ($j = 0; $j < (int) $n; $j++) {
                    $fleiss->add("c$i", '', sprintf('r%02d', $rater++), "k$k");
                }
            }
        }
        $text = "| table | figure | estimate | standard error | 95 % interval |\n|---|---|---|---|---|\n";
        $text .= $this->rows('Fleiss, 10 subjects, 14 raters', $fleiss, [
            'percent_agreement',
            'fleiss_kappa',
            'gwet_ac1',
            'brennan_prediger',
            'krippendorff_alpha',
        ]);
        foreach (Scale::cases() as $scale) {
            $set = new RatingSet($scale);
            foreach (self::OBSERVERS as $rater => $row) {
                foreach (explode(' ', $row) as $i => $v) {
                    $set->add(sprintf('u%02d', $i), '', $rater, $v === '.' ? '' : $v);
                }
            }
            $text .= $this->rows(
                "Krippendorff, 4 observers, {$scale->value}",
                $set,
                $scale === Scale::Nominal
                    ? ['percent_agreement', 'fleiss_kappa', 'gwet_ac1', 'brennan_prediger', 'krippendorff_alpha']
                    : ['krippendorff_alpha'],
            );
        }
        $judges = new RatingSet(Scale::Interval);
        foreach (self::JUDGES as $i => $row) {
            foreach (explode(' ', $row) as $j => $v) {
                $judges->add("t$i", '', "j$j", $v);
            }
        }
        $text .= $this->rows('Shrout & Fleiss, 6 targets, 4 judges', $judges, [
            'icc_1_1',
            'icc_2_1',
            'icc_3_1',
            'icc_1_k',
            'icc_2_k',
            'icc_3_k',
        ]);
        $kappa = (new CohenKappa([20, 5, 10, 15]))->kappa();

        return $text.
            sprintf(
                "| 20 5 / 10 15 | cohen_kappa | %.6f | %.6f | %.6f … %.6f |\n",
                $kappa->estimate,
                $kappa->se,
                $kappa->low,
                $kappa->high,
            );
    }

    /** @param  list<string>  $names */
    private function rows(string $table, RatingSet $set, array $names): string
    {
        $figures = (new Study($set, new StudyOptions(pairs: false, bootstrap: 0)))->item($set->items())->coefficients;
        $text = '';
        foreach ($names as $name) {
            $f = $figures[$name];
            $text .= sprintf(
                "| %s | %s | %.6f | %s | %.6f … %.6f |\n",
                $table,
                $name,
                $f->estimate,
                $f->se === null ? '–' : sprintf('%.6f', $f->se),
                $f->low ?? NAN,
                $f->high ?? NAN,
            );
            $table = '';
        }

        return $text;
    }
}
