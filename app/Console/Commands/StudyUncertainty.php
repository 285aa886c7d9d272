<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\StudyFile;
use App\Console\TextOptions;
use App\Console\Workers;
use Core\Agreement\Wilson;
use Core\Simulation\Conditions;
use Core\Simulation\Held;
use Core\Simulation\UncertaintyStudy;
use Core\Version;
use Illuminate\Console\Command;

final class StudyUncertainty extends Command
{
    use StudyFile;
    use TextOptions;

    /** A cell fails where the interval of its share lies outside of these. */
    private const WANTED = ['ordinary' => [0.93, 0.97], 'harsh' => [0.93, 1.0]];

    protected $signature = 'study:uncertainty {--golfers=51} {--times=40} {--processes=2} {--seed=uncertainty} '
        .'{--out= : a Markdown file to write}';

    protected $description = 'How often the ± of every measure holds what really happened, by instrument; '
        .'makes docs/uncertainty.md';

    public function handle(): int
    {
        $golfers = max(1, (int) $this->option('golfers'));
        $times = max(1, (int) $this->option('times'));
        $seed = $this->text('seed');
        $studies = [];
        foreach (['ordinary' => Conditions::ordinary(), 'harsh' => Conditions::harsh()] as $name => $conditions) {
            $study = new UncertaintyStudy($conditions, $seed);
            $bar = $this->output->createProgressBar($golfers);
            $one = static function (int $i) use ($conditions, $seed, $times): string {
                $part = new UncertaintyStudy($conditions, $seed);
                $part->golfer($i, $times);

                return serialize($part->cells);
            };
            $work = Workers::map((int) $this->option('processes'), array_fill(0, $golfers, 1.0), $one);
            foreach ($work as $cells) {
                /** @var array<string, array<string, Held>> $added */
                $added = unserialize($cells, ['allowed_classes' => [Held::class]]);
                $study->add($added);
                $bar->advance();
            }
            $bar->finish();
            $this->newLine();
            $studies[$name] = $study;
        }

        return $this->put($this->markdown($studies, $golfers, $times, $seed));
    }

    /** @param  array<string, UncertaintyStudy>  $studies */
    private function markdown(array $studies, int $golfers, int $times, string $seed): string
    {
        $lines = [
            '# How often a ± holds',
            '',
            "Made by `php artisan study:uncertainty --golfers=$golfers --times=$times --seed=$seed "
                .'--out=docs/uncertainty.md`, core version '.Version::CURRENT.'. Do not edit.',
            '',
            "$golfers simulated golfers of both hands with three kinds of club, half of them with a fault or two, each "
                ."recorded $times times by every instrument; station times drawn with ± 8 ms. **Ordinary**: noise as "
                .'the device class states it, and its constant errors drawn – zeros, crosstalk, centres of pressure, '
                .'where the feet of a single plate are said to stand, where a point sits on the body. **Harsh**: the '
                .'same with twice the noise, correlated over 30 ms, and a zero that wanders by three points of share '
                .'from one end of the recording to the other. The truth is what the same definitions give on forces '
                .'and points without any error at the true station times.',
            '',
            'Each cell: share of values within their ± in per cent (wanted 93 to 97 in ordinary recordings, 93 and '
                .'more in harsh ones), then the middle ± beside 1.96 times the root mean square error. **Bold**: the '
                .'95 % interval of the share (Wilson) lies outside of what is wanted; it takes each recording for an '
                .'independent one, though those of one golfer share what his swing is like. A value of a cell is '
                .'measured 20 times or it is not shown; bounds and lists have no ± and are not in here.',
        ];
        foreach (UncertaintyStudy::COLUMNS as $column) {
            array_push($lines, '', '## '.ucfirst($column), '', '| measure | ordinary | ± : error | harsh | ± : error |',
                '|---|---|---|---|---|');
            $sums = [];
            foreach (array_keys($studies['ordinary']->cells[$column] ?? []) as $at) {
                $row = [str_replace('@', ' at ', $at)];
                foreach ($studies as $name => $study) {
                    $cell = $study->cells[$column][$at] ?? null;
                    if ($cell === null || $cell->n < 20) {
                        array_push($row, '–', '');

                        continue;
                    }
                    $sums[$name][] = $cell->share();
                    array_push($row, ...$this->cell($cell, ...self::WANTED[$name]));
                }
                $lines[] = '| '.implode(' | ', $row).' |';
            }
            $lines[] = '| *mean* | '.implode(' | ', array_map(
                static fn (array $of): string => sprintf('*%.1f* | ', 100 * array_sum($of) / max(1, count($of))),
                $sums,
            )).' |';
        }

        return implode("\n", [...$lines, '']);
    }

    /** @return array{string, string} */
    private function cell(Held $cell, float $least, float $most): array
    {
        $interval = Wilson::interval($cell->held, $cell->n);
        $share = sprintf('%.1f', 100 * $cell->share());
        $isOut = $interval[1] < $least || $interval[0] > $most;

        return [
            $isOut ? "**$share**" : $share,
            sprintf('%s : %s', self::digits($cell->width()), self::digits($cell->error())),
        ];
    }

    private static function digits(float $v): string
    {
        return sprintf($v < 0.1 ? '%.3f' : ($v < 10.0 ? '%.2f' : '%.0f'), $v);
    }
}
