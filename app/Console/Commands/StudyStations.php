<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\StudyFile;
use App\Console\TextOptions;
use App\Console\Workers;
use Core\Agreement\Wilson;
use Core\Motion\Station;
use Core\Simulation\Held;
use Core\Simulation\StationStudy;
use Core\Version;
use Illuminate\Console\Command;

/** @phpstan-import-type Cell from StationStudy */
final class StudyStations extends Command
{
    use StudyFile;
    use TextOptions;

    private const WANTED = 0.95;

    private const NAMES = [
        'points' => '3-D points, 240 a second',
        'face-on' => 'Film, face on, 240 a second',
        'down-the-line' => 'Film, down the line, 240 a second',
        'mat' => 'The trace of a mat alone',
        'plate' => 'The trace of a plate alone',
        'dual-plate' => 'The traces of two plates alone',
    ];

    private const KINDS = [
        'resting' => 'rests at the top',
        'sharp' => 'short and sharp',
        'quick' => 'quick downswing',
        'creeping' => 'creeps away',
        'waggling' => 'waggles',
        'rehearsal' => 'slow rehearsal',
        StationStudy::CLUB_LOST => 'club lost at the top',
    ];

    protected $signature = 'study:stations {--golfers=60} {--processes=2} {--seed=stations} '
        .'{--out= : a Markdown file to write}';

    protected $description = 'How far off the stations are that the program finds, by pace and size of the swing; '
        .'makes docs/stations.md';

    public function handle(): int
    {
        $golfers = max(1, (int) $this->option('golfers'));
        $seed = $this->text('seed');
        $kinds = StationStudy::kinds();
        $tasks = $golfers * count($kinds);
        $bar = $this->output->createProgressBar($tasks);
        $one = static function (int $i) use ($golfers, $kinds, $seed): string {
            $part = new StationStudy;
            $part->swing($kinds[intdiv($i, $golfers)], $i % $golfers, $seed);

            return serialize($part->cells);
        };
        $study = new StationStudy;
        foreach (Workers::map((int) $this->option('processes'), array_fill(0, $tasks, 1.0), $one) as $cells) {
            /** @var array<string, array<string, array<string, Cell>>> $added */
            $added = unserialize($cells, ['allowed_classes' => [Held::class]]);
            $study->add($added);
            $bar->advance();
        }
        $bar->finish();
        $this->newLine();

        return $this->put($this->markdown($study, $golfers, $seed));
    }

    private function markdown(StationStudy $study, int $golfers, string $seed): string
    {
        $codes = array_column(Station::cases(), 'value');
        $lines = [
            '# Stations by pace and size of the swing',
            '',
            "Made by `php artisan study:stations --golfers=$golfers --seed=$seed --out=docs/stations.md`, core version "
                .Version::CURRENT.'. Do not edit.',
            '',
            "$golfers simulated golfers of both hands with three kinds of club, two in three with a fault, for each kind "
                .'of swing. The truth is each station by its definition on the body without any error; where the shaft '
                .'rests, the top is when it goes down. Points and film carry their noise, traces their constant '
                .'errors too.',
            '',
            'Each cell: stations within their ± in per cent, then the middle ± : 1.96 times the root mean square error, '
                .'ms. After *?* the same of those that the program flagged for a person to look at; from a trace alone '
                .'it flags all. “−n” were not found though the swing has them, “+n” found though a swing as small as '
                .'that has none. **Bold**: the 95 % interval of the share (Wilson) lies below 95 %. “–”: the swing has '
                .'no such station and none was found. From film and points the ± is never less than what half a frame '
                .'is worth: when within a frame a picture was taken nobody knows, so it is wider there than the error.',
        ];
        foreach (self::NAMES as $source => $name) {
            array_push($lines, '', "## $name", '', '| swing | '.implode(' | ', $codes).' |',
                '|---|'.str_repeat('---|', count($codes)));
            foreach ($study->cells[$source] ?? [] as $kind => $cells) {
                $lines[] = '| '.(self::KINDS[$kind] ?? $kind).' | '.implode(' | ', array_map(
                    static fn (string $code): string => self::cell($cells[$code]),
                    $codes,
                )).' |';
            }
        }

        return implode("\n", [...$lines, '']);
    }

    /** @param  Cell  $cell */
    private static function cell(array $cell): string
    {
        $parts = [
            self::told($cell['sure'], ''),
            self::told($cell['doubted'], '*?* '),
            $cell['missing'] > 0 ? "−$cell[missing]" : '',
            $cell['invented'] > 0 ? "+$cell[invented]" : '',
        ];

        return implode(' ', array_filter($parts, static fn (string $p): bool => $p !== '')) ?: '–';
    }

    private static function told(Held $held, string $mark): string
    {
        if ($held->n === 0) {
            return '';
        }
        $share = sprintf('%.0f', 100 * $held->share());
        $isLow = Wilson::interval($held->held, $held->n)[1] < self::WANTED;

        return $mark.($isLow ? "**$share**" : $share)
            .sprintf(' %.0f : %.0f', 1000 * $held->width(), 1000 * $held->error());
    }
}
