<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\StudyFile;
use App\Console\TextOptions;
use App\Console\Workers;
use Core\Simulation\QualityStudy;
use Core\Version;
use Illuminate\Console\Command;

/** @phpstan-import-type Cell from QualityStudy */
final class StudyQuality extends Command
{
    use StudyFile;
    use TextOptions;

    private const NAMES = [
        QualityStudy::SOUND => 'nothing: sound as it is',
        'places-in-metres' => 'places in metres',
        'places-in-centimetres' => 'places in centimetres',
        'forces-in-kilograms' => 'forces in kilograms',
        'shares-as-parts' => 'shares as parts of one',
        'times-in-milliseconds' => 'time in milliseconds',
        'origin-in-corner' => 'origin in the plates’ corner',
        'heel-and-toe-exchanged' => 'heel and toe exchanged',
        'plates-exchanged' => 'plates exchanged',
        'shares-exchanged' => 'shares exchanged',
        'push-across-off' => 'zero of every Fy off by −6 %BW',
        'push-along-off' => 'zero of every Fx off by +4 %BW',
        'twist-off' => 'zero of every Mz off by 0.3 N·m/kg',
        'shares-to-ninety' => 'shares that add to 90',
        'hum' => 'hum of 4 %BW at 50 Hz',
        'slipped-and-back' => 'slipped 70 mm for 0.12 s',
        'slipped-for-good' => 'slipped 70 mm for good',
        'stuck' => 'a channel stuck for 0.2 s',
        'saturated' => 'force cut off at 80 %',
        'soft-end' => 'force bent from 75 % on',
        'gap' => 'a gap of 0.12 s',
        'stretch-lost' => '0.06 s lost under an even clock',
        'foot-off' => 'the lead foot off by two thirds for 0.25 s',
        'mass-stated-wrong' => 'mass stated 25 % too high',
        'gain-of-one-plate' => 'one plate’s gain 20 % too high',
    ];

    protected $signature = 'study:quality {--golfers=24} {--processes=2} {--seed=quality} '
        .'{--out= : a Markdown file to write}';

    protected $description = 'What goes wrong with instruments: found or not, what it leaves out, what is left wrong; '
        .'makes docs/quality.md';

    public function handle(): int
    {
        $golfers = max(1, (int) $this->option('golfers'));
        $seed = $this->text('seed');
        $bar = $this->output->createProgressBar($golfers);
        $one = static function (int $i) use ($seed): string {
            $part = new QualityStudy;
            $part->golfer($i, $seed);

            return serialize($part);
        };
        $study = new QualityStudy;
        foreach (Workers::map((int) $this->option('processes'), array_fill(0, $golfers, 1.0), $one) as $part) {
            $added = unserialize($part, ['allowed_classes' => [QualityStudy::class]]);
            if ($added instanceof QualityStudy) {
                $study->add($added);
            }
            $bar->advance();
        }
        $bar->finish();
        $this->newLine();

        return $this->put($this->markdown($study, $golfers, $seed));
    }

    private function markdown(QualityStudy $study, int $golfers, string $seed): string
    {
        $lines = [
            '# What goes wrong with an instrument',
            '',
            "Made by `php artisan study:quality --golfers=$golfers --seed=$seed --out=docs/quality.md`, core version "
                .Version::CURRENT.'. Do not edit.',
            '',
            "$golfers simulated golfers, every second with a clear fault, recorded by every instrument without body "
                .'points; then the same recordings with one thing wrong, where it happens at one moment from lead arm '
                .'level coming down on. **Found**: a finding of its kind, in per cent of the recordings; of sound ones '
                .'any finding. **Left out**: values that the sound recording gives and this one does not, of so many, '
                .'on average. **Another**: values farther from the sound one than both ± together, on average a '
                .'recording. **Opposite**: verdicts with a clear margin that say the opposite of the sound '
                .'recording’s, in a hundred recordings. A mass that is wrong widens and leaves nothing out; one sign '
                .'that heel and toe are exchanged asks, two leave out.',
            '',
            '| what is wrong | instrument | found, % | left out | another | opposite |',
            '|---|---|---|---|---|---|',
        ];
        foreach (self::NAMES as $code => $name) {
            foreach ($study->cells[$code] ?? [] as $device => $c) {
                $lines[] = "| $name | $device | ".sprintf(
                    '%.0f | %.1f | %.2f | %.1f |',
                    100 * $c['found'] / $c['n'],
                    $c['out'] / $c['n'],
                    $c['wrong'] / $c['n'],
                    100 * $c['opposite'] / $c['n'],
                );
            }
        }

        return implode("\n", [...$lines, '']);
    }
}
