<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Core\Codebook\Codebook;
use Core\Codebook\Observability;
use Core\Simulation\DetectionStudy;
use Core\Simulation\Plant;
use Core\Version;
use Illuminate\Console\Command;

final class StudyDetection extends Command
{
    protected $signature = 'study:detection {--golfers=500} {--seed=detection} {--out= : a Markdown file to write}';

    protected $description = 'How often the rules find planted faults, and support ones that are not there';

    public function handle(): int
    {
        $golfers = max(1, (int) $this->option('golfers'));
        $seed = is_string($this->option('seed')) ? $this->option('seed') : '';
        $bar = $this->output->createProgressBar($golfers);
        $study = DetectionStudy::run($golfers, $seed, static fn () => $bar->advance());
        $bar->finish();
        $this->newLine(2);
        $text = $this->markdown($study, $golfers, $seed);
        $out = $this->option('out');
        if (is_string($out) && $out !== '') {
            if (@file_put_contents($out, $text) === false) {
                $this->output->getErrorStyle()->writeln("$out cannot be written");

                return self::FAILURE;
            }
            $this->line("written: $out");
        } else {
            $this->line($text);
        }

        return self::SUCCESS;
    }

    private function markdown(DetectionStudy $study, int $golfers, string $seed): string
    {
        $arms = array_keys(DetectionStudy::ARMS);
        $lines = [
            '# Detection and false alarm',
            '',
            "Made by `php artisan study:detection --golfers=$golfers --seed=$seed --out=docs/detection.md`, core "
                .'version '.
            Version::CURRENT.
            '. Do not edit.',
            '',
            'Simulated golfers of both hands with three kinds of club; a fault planted in '.count(Plant::FAULTS).' of '
                .(count(Plant::FAULTS) + 1).', at severity 2, 3, '
                .'2, 3, 1 in turn. Each cell: **found / planted** at severity 2 or more (found = supported or '
                .'borderline; in brackets those only borderline; “n denied” = contradicted though planted; the rest '
                .'could not be measured), then *false* = supported though neither planted nor entailed by what was. '
                .'“–” = not observable with this evidence, so never reported as absent. Indirect = judged by a proxy, '
                .'or seen only through one.',
            '',
            'The golfers are built so that a clear or dominant fault lies on the far side of the codebook’s bands. '
                .'The table therefore tests the whole chain – instrument, stations, measures, rules – and not how '
                .'well a rule agrees with coaches.',
            '',
            '| fault | '.implode(' | ', $arms).' |',
            '|---|'.str_repeat('---|', count($arms)),
        ];
        $total = array_fill_keys($arms, ['asked' => 0, 'found' => 0, 'clean' => 0, 'false' => 0]);
        $low = [];
        foreach (Codebook::standard()->faults as $key => $fault) {
            $row = [];
            foreach ($arms as $arm) {
                $c = $study->counts[$key][$arm];
                if ($c['sight'] === Observability::NotObservable) {
                    $row[] = '–';

                    continue;
                }
                $only = $c['found'] - $c['supported'];
                $row[] = sprintf(
                    '%s**%d / %d**%s%s, *%d / %d*',
                    $c['sight'] === Observability::Indirect ? 'indirect ' : '',
                    $c['found'],
                    $c['asked'],
                    $only > 0 ? " ($only)" : '',
                    $c['contradicted'] > 0 ? " $c[contradicted] denied" : '',
                    $c['false'],
                    $c['clean'],
                );
                if ($c['sight'] === Observability::Observable) {
                    foreach (['asked', 'found', 'clean', 'false'] as $n) {
                        $total[$arm][$n] += $c[$n];
                    }
                    if ($c['asked'] > 0 && ($c['found'] < 0.97 * $c['asked'] || $c['false'] > 0.02 * $c['clean'])) {
                        $low[] = "$key, $arm";
                    }
                }
            }
            $lines[] = "| $fault->name | ".implode(' | ', $row).' |';
        }
        $sum = [];
        foreach ($arms as $arm) {
            $t = $total[$arm];
            $sum[] =
                $t['asked'] === 0
                    ? '–'
                    : sprintf(
                        '**%.1f %%**, *%.2f %%*',
                        (100 * $t['found']) / $t['asked'],
                        (100 * $t['false']) / max(1, $t['clean']),
                    );
        }
        $lines[] = '| **all observable** | '.implode(' | ', $sum).' |';
        $errors = $study->stationErrors;
        sort($errors);
        $n = count($errors);
        array_push(
            $lines,
            '',
            'Below 97 % found or above 2 % false where observable: '.
                ($low === [] ? 'none.' : implode('; ', $low).'.'),
            '',
            sprintf(
                'Stations found in 3-D points at 120 frames a second: %d times, median error %.1f ms, 95 in 100 '
                    .'within %.1f ms, largest %.1f ms; off by more than three frames without being flagged: %d.',
                $n,
                1000 * $errors[intdiv($n, 2)],
                1000 * $errors[(int) (0.95 * ($n - 1))],
                1000 * $errors[$n - 1],
                $study->unflagged,
            ),
            '',
        );

        return implode("\n", $lines);
    }
}
