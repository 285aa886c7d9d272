<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\ConsoleException;
use App\Console\TextOptions;
use App\Exceptions\Refusal;
use Core\Agreement\Confidence;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Scale;
use Core\Agreement\Weights;
use Core\CoreException;
use Core\Format\CsvWriter;
use Core\Format\FormatException;
use Core\Format\RatingsCsv;
use Core\Planning\Assumptions;
use Core\Planning\PowerSimulation;
use Core\Planning\WidthFormula;
use Core\Planning\WidthSimulation;
use Core\Version;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

final class AgreementPlan extends Command
{
    use TextOptions;

    protected $signature = 'agreement:plan
        {file? : ratings CSV of a pilot to take what is expected from, or - for standard input}
        {--coefficient=gwet_ac1} {--prevalence=} {--agreement=} {--raters=} {--missing=} {--width=0.2}
        {--swings=1 : cases a golfer} {--alike=0 : correlation of the fault within golfers}
        {--difference= : a rise of the share of same calls that should be found in a second round}
        {--cases= : sizes to look at, with commas between} {--positive=present} {--simulations=400}
        {--seed=1} {--confidence=0.95} {--format=table}';

    protected $description = 'How many cases an interval as narrow as wanted needs, and how wide it is to be expected '
        .'with the cases at hand; needs no database';

    public function handle(): int
    {
        try {
            [$result, $format] = [$this->plan(), $this->oneOf('format', ['table', 'json', 'csv'])];
        } catch (CoreException $e) {
            $this->output->getErrorStyle()->writeln(Refusal::sentenceOf($e), OutputInterface::OUTPUT_RAW);

            return self::FAILURE;
        }
        $this->output->write(
            match ($format) {
                'json' => json_encode(
                    $result,
                    JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
                )."\n",
                'csv' => CsvWriter::row([
                    'cases',
                    'formula_width',
                    'mean_width',
                    'width_80',
                    'mean_estimate',
                    'coverage',
                    'undefined',
                    'studies',
                ]).
                    implode(
                        '',
                        array_map(
                            static fn (array $r): string => CsvWriter::row([
                                $r['cases'],
                                $r['formula_width'],
                                $r['mean_width'],
                                $r['width_80'],
                                $r['mean_estimate'],
                                $r['coverage'],
                                $r['undefined'],
                                $r['studies'],
                            ]),
                            $result['expected'],
                        ),
                    ),
                default => self::readable($result),
            },
            false,
            OutputInterface::OUTPUT_RAW,
        );

        return self::SUCCESS;
    }

    /**
     * @return array{coefficient: string, confidence: float, width: float, seed: int, simulations: int,
     * assumptions: array<string, float|int|string>, cases_needed: array<string, int|null>, expected: list<array<string,
     * float|int|bool|null>>, power?: list<array<string, float|int>>, version: string}
     */
    private function plan(): array
    {
        $confidence = new Confidence($this->number('confidence'));
        $coefficient = $this->oneOf('coefficient', WidthFormula::COEFFICIENTS);
        $pilot = $this->pilot();
        $assumptions = new Assumptions(
            $this->given('prevalence') === null ? $pilot['prevalence'] ?? 0.3 : $this->number('prevalence'),
            $this->given('agreement') === null ? $pilot['agreement'] ?? 0.8 : $this->number('agreement'),
            $this->given('raters') === null ? $pilot['raters'] ?? 8 : $this->whole('raters'),
            $this->given('missing') === null ? $pilot['missing'] ?? 0.0 : $this->number('missing'),
            $this->whole('swings'),
            $this->number('alike'),
        );
        $power = $this->given('difference') === null
            ? null
            : new PowerSimulation($assumptions, $this->number('difference'), $confidence, $this->whole('seed'));
        $width = $this->number('width');
        $studies = $this->whole('simulations');
        if ($width <= 0.0 || $studies < 10 || $studies > 100_000) {
            throw ConsoleException::because($width <= 0.0 ? 'width' : 'simulations');
        }
        $formula = new WidthFormula($assumptions, $coefficient, $confidence);
        $simulation = new WidthSimulation($assumptions, $coefficient, $confidence, $this->whole('seed'));
        $needed = $simulation->cases(
            $width,
            $studies,
            fn (int $done, int $step) => $this->tell("looking for the number of cases, step $step", $done, $studies),
        );
        $sizes = $this->sizes($formula->cases($width));
        $expected = $powers = [];
        foreach ($sizes as $n) {
            $run =
                $needed !== null && $needed->cases === $n
                    ? $needed
                    : $simulation->run($n, $studies, fn (int $done) => $this->tell("$n cases", $done, $studies));
            $byFormula = min(2.0, $formula->width($n));
            $expected[] = [
                'formula_width' => $byFormula,
                // A formula that is off by more than a fifth is not to be planned by.
                'formula_reliable' => $run->mean !== null && abs($byFormula - $run->mean) <= 0.2 * $run->mean,
                ...$run->toArray(),
            ];
            if ($power !== null) {
                $powers[] = $power->run($n, $studies);
            }
        }

        return [
            'coefficient' => $coefficient,
            'confidence' => $confidence->level,
            'width' => $width,
            'seed' => $this->whole('seed'),
            'simulations' => $studies,
            'assumptions' => [
                'prevalence' => $assumptions->prevalence,
                'agreement' => $assumptions->agreement,
                'raters' => $assumptions->raters,
                'missing' => $assumptions->missing,
                'swings' => $assumptions->swings,
                'alike' => $assumptions->alike,
                'accuracy' => $assumptions->accuracy,
                'expected_value' => $formula->expected,
                'from' => $pilot === [] ? 'options' : 'pilot and options',
            ],
            'cases_needed' => ['formula' => $formula->cases($width), 'simulation' => $needed?->cases],
            'expected' => $expected,
            ...$power === null ? [] : ['power' => $powers],
            'version' => Version::AGREEMENT,
        ];
    }

    /**
     * What a pilot's ratings say is to be expected.
     *
     * @return array{}|array{prevalence: float, agreement: float, raters: int, missing: float}
     */
    private function pilot(): array
    {
        $path = $this->given('file');
        if ($path === null) {
            return [];
        }
        $name = $path === '-' ? 'standard input' : basename($path);
        $stream = is_dir($path) ? false : @fopen($path === '-' ? 'php://stdin' : $path, 'rb');
        if ($stream === false) {
            throw FormatException::in($name, 'cannot-be-read');
        }
        $set = new RatingSet;
        RatingsCsv::readRatings($stream, $name, $set);
        fclose($stream);
        $table = ItemTable::fromRatings($set, $set->items());
        $positive = $table->code($this->text('positive'));
        if ($table->q !== 2 || $positive === null) {
            throw FormatException::in(
                $name,
                'pilot-values',
                text: $this->text('positive'),
            );
        }
        $sums = new CountSums($table, Weights::identity(2));
        $agreement = $sums->estimates()[0];
        if (is_nan($agreement)) {
            throw FormatException::in($name, 'pilot-pairs');
        }
        $agreement = min(0.999, max(0.5, $agreement));
        $s = (1 + sqrt(2 * $agreement - 1)) / 2;
        // Raters call π·s + (1 − π)(1 − s) present; from that the cases' own share.
        $prevalence = $s > 0.5 ? ($sums->proportions()[$positive] - (1 - $s)) / (2 * $s - 1) : 0.5;

        return [
            'prevalence' => min(0.99, max(0.01, $prevalence)),
            'agreement' => $agreement,
            'raters' => max(2, count($table->raters)),
            'missing' => min(0.9, 1 - $table->ratings / max(1, $table->units * count($table->raters))),
        ];
    }

    /** @return list<int> */
    private function sizes(?int $needed): array
    {
        $text = $this->given('cases');
        if ($text !== null) {
            return array_map(
                static fn (string $n): int => preg_match('/^\s*\d{1,5}\s*$/D', $n) === 1 && (int) $n >= 2
                    ? (int) $n
                    : throw ConsoleException::because('cases', n: $n),
                explode(',', $text),
            );
        }
        $sizes = [10, 20, 40, 80, ...($needed === null || $needed > 20_000 ? [] : [$needed])];
        sort($sizes);

        return array_values(array_unique($sizes));
    }

    private function number(string $name): float
    {
        return Scale::decimal($this->text($name)) ??
            throw ConsoleException::because('not-number', name: $name, text: $this->text($name));
    }

    /** How far a simulation is; only where somebody watches. */
    private function tell(string $what, int $done, int $of): void
    {
        if ($done % max(1, intdiv($of, 20)) === 0 && stream_isatty(STDERR)) {
            fwrite(STDERR, sprintf("\r%s: %3d %% ", $what, 100 * $done / $of).($done === $of ? "\n" : ''));
        }
    }

    /**
     * @param  array{coefficient: string, confidence: float, width: float, simulations: int, assumptions: array<string,
     * float|int|string>, cases_needed: array<string, int|null>, expected: list<array<string, float|int|bool|null>>,
     * power?: list<array<string, float|int>>}  $r
     */
    private static function readable(array $r): string
    {
        $a = $r['assumptions'];
        $text = sprintf(
            '%s, expected %.3f: %d raters who agree on %.0f %% of cases (each right in %.0f %%), the fault in %.0f %% '
                ."of cases, %.0f %% of ratings missing\n",
            $r['coefficient'],
            $a['expected_value'],
            $a['raters'],
            100 * (float) $a['agreement'],
            100 * (float) $a['accuracy'],
            100 * (float) $a['prevalence'],
            100 * (float) $a['missing'],
        );
        $text .= sprintf(
            "for a %g %% interval %g wide: %s cases by formula, %s by simulation (%d studies a step)\n\n",
            100 * $r['confidence'],
            $r['width'],
            $r['cases_needed']['formula'] ?? 'over a million',
            $r['cases_needed']['simulation'] ?? 'none found',
            $r['simulations'],
        );
        $text .= "  cases  by formula  simulated  4 in 5 below  covered  undefined\n";
        foreach ($r['expected'] as $e) {
            $text .= sprintf(
                "  %5d  %10.3f%s %9s  %12s  %7s  %9d\n",
                $e['cases'],
                $e['formula_width'],
                $e['formula_reliable'] === true ? ' ' : '*',
                $e['mean_width'] === null ? '–' : sprintf('%.3f', $e['mean_width']),
                $e['width_80'] === null ? '–' : sprintf('%.3f', $e['width_80']),
                $e['coverage'] === null ? '–' : sprintf('%.1f %%', 100 * (float) $e['coverage']),
                $e['undefined'],
            );
        }

        if (array_filter($r['expected'], static fn (array $e): bool => $e['formula_reliable'] !== true) !== []) {
            $text .= "* the formula is off by more than a fifth here: plan by the simulation\n";
        }
        foreach ($r['power'] ?? [] as $p) {
            $text .= sprintf(
                "  a second round of the same %d cases (%d golfers) finds the rise in %.0f %% of studies; four in five find %.3f\n",
                $p['cases'],
                $p['golfers'],
                100 * (float) $p['power'],
                $p['smallest_difference'],
            );
        }

        return $text;
    }
}
