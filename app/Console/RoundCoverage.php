<?php

declare(strict_types=1);

namespace App\Console;

use Core\Planning\SignOff;
use Core\Simulation\GolferCoverage;
use Core\Simulation\RoundErrors;

/**
 * The parts of docs/coverage.md that are about rounds: each task a text, so that processes can share them.
 *
 * @phpstan-type Row array{truth: float, covered: float, below: float, above: float, width: float, without: int}
 */
final class RoundCoverage
{
    private const GOLFERS = [10, 15, 30];

    private const ENOUGH = 60;

    /** Golfers on which the truth is taken, with these readers and with a great many. */
    private const TRUTH = 9000;

    private const TRUTH_OF_MANY = 1500;

    /** @param  list<float>  $prevalences */
    public function __construct(private readonly int $studies, private readonly array $prevalences)
    {
    }

    /**
     * @return list<\Closure(): string> each makes a part of the text, with what in it lies outside what is asked for
     */
    public function tasks(): array
    {
        return [...$this->tables(), ...$this->errors()];
    }

    /** @param  list<string>  $outside  name and how, with a tab between */
    private static function part(string $text, array $outside = []): string
    {
        return json_encode(['text' => $text, 'outside' => array_map(static function (string $of): array {
            [$name, $how] = explode("\t", $of, 2);

            return ["$name (rounds)", $how];
        }, $outside)], JSON_THROW_ON_ERROR);
    }

    /** @return list<\Closure(): string> */
    private function tables(): array
    {
        $out = [];
        foreach ([true, false] as $pooled) {
            foreach ($this->prevalences as $prevalence) {
                $out[] = fn (): string => $this->golfers($pooled, $prevalence);
            }
        }
        foreach ($this->prevalences as $prevalence) {
            $out[] = fn (): string => $this->like($prevalence);
        }

        return $out;
    }

    private function golfers(bool $pooled, float $prevalence): string
    {
        $study = new GolferCoverage($prevalence, $pooled);
        $truth = $study->truth(self::TRUTH, true);
        $runs = [];
        foreach (self::GOLFERS as $golfers) {
            $runs[$golfers] = $study->run($truth, $golfers, $this->studies);
        }
        $resampled = $study->run($truth, self::ENOUGH, max(10, intdiv($this->studies, 4)), 300);
        $what = sprintf('%s, faults in %g of cases', $pooled ? 'four faults pooled' : 'one fault', $prevalence);
        $text = "\n## ".ucfirst($what)."\n\n| figure | truth | 10 golfers | 15 golfers | 30 golfers | width | "
            .self::ENOUGH." golfers, resampled |\n|---|---|---|---|---|---|---|\n";
        $outside = [];
        foreach ($truth as $name => $value) {
            $cells = [];
            foreach ($runs + [self::ENOUGH => $resampled] as $golfers => $run) {
                [$low, $high] = $golfers === 10 ? [0.91, 0.96] : [0.93, 0.97];
                $cells[] = self::cell($run[$name], $low, $high, $golfers === self::ENOUGH ? $this->studies / 4
                    : $this->studies);
                if (str_starts_with($cells[count($cells) - 1], '**')) {
                    $outside[] = sprintf("%s\t%.1f %% (%s, %d "
                        .'golfers)', $name, 100 * $run[$name]['covered'], $what, $golfers);
                }
            }
            $text .= sprintf(
                "| %s | %.3f | %s | %s | %s | %.3f | %s |\n",
                $name, $value, $cells[0], $cells[1], $cells[2], $runs[30][$name]['width'], $cells[3],
            );
        }

        return self::part($text, $outside);
    }

    /**
     * In bold where it is outside by more than chance: by more than two of its own errors.
     *
     * @param  Row  $row
     */
    private static function cell(array $row, float $low, float $high, float $studies): string
    {
        $told = $studies - $row['without'];
        if ($told < 0.2 * $studies) {
            return '–';
        }
        $doubt = 2 * sqrt(0.05 * 0.95 / $told);
        $bold = $row['covered'] < $low - $doubt / 2 || $row['covered'] > $high + $doubt / 2 ? '**' : '';
        $some = $row['without'] > 0.02 * $studies ? sprintf(' (of %d)', (int) $told) : '';

        return sprintf('%s%.1f%s%s', $bold, 100 * $row['covered'], $bold, $some);
    }

    private function like(float $prevalence): string
    {
        $text = sprintf(
            "\n## Readers like them, faults in %g of cases, 30 golfers\n\n| figure | truth | 8 readers | 12 readers "
                .'| width of 8 '
                ."|\n|---|---|---|---|---|\n",
            $prevalence,
        );
        $truth = (new GolferCoverage($prevalence, true))->truth(self::TRUTH_OF_MANY, false);
        $runs = [];
        foreach ([8, 12] as $readers) {
            $runs[] = (new GolferCoverage($prevalence, true, readers: $readers))->runLike($truth, 30, $this->studies);
        }
        $outside = [];
        foreach ($runs[0] as $name => $row) {
            $cells = [self::cell($row, 0.92, 0.98, $this->studies), self::cell($runs[1][$name], 0.92, 0.98,
                $this->studies)];
            foreach ($cells as $i => $cell) {
                if (str_starts_with($cell, '**')) {
                    $outside[] = sprintf(
                        "%s for readers like them\t%.1f %% (faults in %g of cases, %d readers)",
                        $name, 100 * $runs[$i][$name]['covered'], $prevalence, [8, 12][$i],
                    );
                }
            }
            $text .= sprintf("| %s | %.3f | %s | %s | %.3f |\n", $name, $row['truth'], $cells[0], $cells[1],
                $row['width']);
        }

        return self::part($text, $outside);
    }

    private function signOffs(): string
    {
        $text = "\n## Sign-off\n\nSequential tests at α 0.05 and β 0.10, ended at 1.5 times the fixed length. "
            .'Wrongly: at the bar. '
            ."Not signed off: of readers as good as is wanted, refused or undecided.\n\n"
            .'| bar, good | calls a case, alike | wrongly signed off | good: refused | good: not signed off | fixed '
            .'length | cases at '
            ."the bar | cases if good |\n|---|---|---|---|---|---|---|---|\n";
        $outside = [];
        foreach ([[0.8, 0.9, 1, 0.0], [0.7, 0.85, 1, 0.0], [0.8, 0.9, 5, 0.3]] as [$bar, $good, $calls, $alike]) {
            $test = new SignOff($bar, $good, 1, $calls, $alike);
            $at = RoundErrors::signOff($test, $bar, $alike, 5 * $this->studies);
            $of = RoundErrors::signOff($test, $good, $alike, 5 * $this->studies);
            $text .= sprintf(
                "| %g, %g | %d, %g | %.1f %% | %.1f %% | %.1f %% | %d | %.0f | %.0f |\n",
                $bar, $good, $calls, $alike, 100 * $at['off'], 100 * $of['refused'], 100 - 100 * $of['off'],
                $test->fixedCases, $at['cases'], $of['cases'],
            );
            if ($at['off'] > 0.055) {
                $outside[] = sprintf("sign-off\t%.1f %% wrongly (bar %g, %d calls a "
                    .'case)', 100 * $at['off'], $bar, $calls);
            }
        }

        return self::part($text, $outside);
    }

    /** @return list<\Closure(): string> */
    private function errors(): array
    {
        $half = max(10, intdiv($this->studies, 4));

        return [
            function () use ($half): string {
                $text = "\n## A key that errs\n\nFive on the panel and one reader, all of the same skill, 60 "
                    .'golfers; 200 resamples. '
                    .'The model supposes that they err independently given the truth; where what makes a swing hard '
                    .'moves them '
                    ."together it says too little. “Plain”: on the questions that the panel settled.\n\n"
                    ."| faults in | errors | sensitivity | specificity | plain sensitivity | plain specificity |\n"
                    ."|---|---|---|---|---|---|\n";
                $outside = [];
                foreach ([[0.0, 'independent'], [0.5, 'partly together'], [1.0, 'together']] as [$cloud, $how]) {
                    foreach ([0.15, 0.4] as $prevalence) {
                        $r = RoundErrors::key($prevalence, $cloud, 60, $half);
                        $text .= sprintf(
                            "| %g | %s | %.1f | %.1f | %.1f | %.1f |\n",
                            $prevalence, $how, ...array_map(static fn (float $v): float => 100 * $v, array_values($r)),
                        );
                        foreach (['sensitivity', 'specificity'] as $name) {
                            if ($how === 'independent' && $r[$name] < 0.86) {
                                $outside[] = sprintf("%s behind a panel\t%.1f %% (%g of "
                                    .'cases)', $name, 100 * $r[$name], $prevalence);
                            }
                        }
                    }
                }

                return self::part($text, $outside);
            },
            function (): string {
                $text = "\n## Drift\n\nRounds in which a reader who never moves is said to drift, at 5 %; 199 ways "
                    ."of changing places.\n\n"
                    ."| golfers | alike within a golfer | false alarms |\n|---|---|---|\n";
                $outside = [];
                foreach ([30, 60] as $golfers) {
                    foreach ([0.0, 0.6] as $correlation) {
                        $v = 100 * RoundErrors::drift($correlation, $golfers, $this->studies);
                        $text .= sprintf("| %d | %g | %.1f %% |\n", $golfers, $correlation, $v);
                        if ($v > 6.5) {
                            $outside[] = sprintf("drift\t%.1f %% false alarms (%d golfers)", $v, $golfers);
                        }
                    }
                }

                return self::part($text, $outside);
            },
            function () use ($half): string {
                $text = "\n## Before and after\n\nPairs of rounds in which a change of agreement on “present” is "
                    .'found where there is '
                    .'none, at 5 %: for these readers by swapping golfers, where nobody moves; for readers like '
                    .'them, where each moves '
                    ."by a leaning of the day.\n\n| golfers | readers | these readers, still | readers like them, "
                    ."moving |\n"
                    ."|---|---|---|---|\n";
                $outside = [];
                foreach ([[8, 8], [20, 8], [20, 12]] as [$golfers, $readers]) {
                    $still = 100 * RoundErrors::change($golfers, $readers, false, $half)['these'];
                    $moving = 100 * RoundErrors::change($golfers, $readers, true, $half)['like'];
                    $text .= sprintf("| %d | %d | %.1f %% | %.1f %% |\n", $golfers, $readers, $still, $moving);
                    if (abs($moving - 5) > 3.5) {
                        $outside[] = sprintf("change among readers like them\t%.1f %% (%d golfers, %d "
                            .'readers)', $moving, $golfers, $readers);
                    }
                }

                return self::part($text, $outside);
            },
            function (): string {
                $text = "\n## People in order\n\nEight readers, two of them alike: places that lie in the range "
                    .'told, and rounds in which '
                    ."the two alike are told apart.\n\n| golfers | places in their range | two alike told apart "
                    ."|\n|---|---|---|\n";
                foreach ([12, 30] as $golfers) {
                    $r = RoundErrors::places($golfers, $this->studies);
                    $text .= sprintf("| %d | %.1f %% | %.1f %% |\n", $golfers, 100 * $r['places'], 100 * $r['apart']);
                }

                return self::part($text);
            },
            $this->signOffs(...),
            function () use ($half): string {
                $text = "\n## Readers who call at random\n\nEight of them on 60 swings of 30 golfers and four "
                    .'faults. “A word”: more than “poor” '
                    ."or “slight” by Landis and Koch's levels, read by cumulative membership.\n\n"
                    .'| call present in | AC1 | α | agreement on present | a word by AC1 | a word by α '
                    ."|\n|---|---|---|---|---|---|\n";
                foreach ([0.02, 0.05, 0.1] as $rate) {
                    $r = RoundErrors::random($rate, $half);
                    $text .= sprintf(
                        "| %g | %.2f | %.2f | %.2f | %.1f %% | %.1f %% |\n",
                        $rate, $r['gwet_ac1'], $r['krippendorff_alpha'], $r['present'], 100 * $r['ac1_words'],
                        100 * $r['alpha_words'],
                    );
                }

                return self::part($text."\nSo AC1 never stands alone, and no word is given by it.\n");
            },
        ];
    }
}
