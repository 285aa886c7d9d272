<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\StudyFile;
use App\Console\TextOptions;
use App\Console\Workers;
use Core\Simulation\Population;
use Illuminate\Console\Command;

final class StudyPopulation extends Command
{
    use StudyFile;
    use TextOptions;

    /** A measure that fewer golfers have is left out. */
    private const LEAST = 30;

    protected $signature = 'study:population {--golfers=300} {--processes=2} {--seed=population} '
        .'{--out= : a JSON file to write}';

    protected $description = 'What a bench may see: 1st, 50th and 99th percentile of every measure, over simulated '
        .'golfers';

    public function handle(): int
    {
        $golfers = max(self::LEAST, (int) $this->option('golfers'));
        $seed = $this->text('seed');
        $all = [];
        $one = static fn (int $i): string => json_encode(Population::golfer($i, $seed), JSON_THROW_ON_ERROR);
        foreach (Workers::map((int) $this->option('processes'), array_fill(0, $golfers, 1.0), $one) as $values) {
            /** @var array<string, float|int> $found */
            $found = json_decode($values, true, flags: JSON_THROW_ON_ERROR);
            foreach ($found as $name => $value) {
                $all[$name][] = (float) $value;
            }
        }
        $rows = [];
        foreach ($all as $name => $values) {
            if (count($values) >= self::LEAST) {
                $rows[$name] = array_map(
                    static fn (float $v): float => round($v, 3),
                    Population::percentiles($values),
                );
            }
        }
        $text = json_encode(
            ['golfers' => $golfers, 'seed' => $seed, 'percentiles' => [1, 50, 99], 'measures' => $rows],
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION,
        )."\n";

        return $this->put($text);
    }
}
