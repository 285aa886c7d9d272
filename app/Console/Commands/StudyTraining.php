<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\StudyFile;
use App\Console\TextOptions;
use Core\Agreement\Wilson;
use Core\Number\Distribution;
use Core\Number\Written;
use Core\Planning\SignOffDecision;
use Core\Simulation\SignOffStudy;
use Core\Simulation\TrainingStudy;
use Core\Training\Learner;
use Core\Training\NextQuestion;
use Core\Training\TestCourse;
use Illuminate\Console\Command;

/** What the choice of questions does for people who learn by another model than the program's. */
final class StudyTraining extends Command
{
    use StudyFile;
    use TextOptions;

    private const FAULTS = 27;

    private const BY = ['model' => 'the program', 'random' => 'at random', 'fixed' => 'by a fixed list'];

    private const ANSWERS = [20, 40, 80];

    protected $signature = 'study:training {--people=200} {--tests=2000} {--seed=training} {--out= : a Markdown file to write}';

    protected $description = 'What choosing questions does for simulated people who learn by another model; makes '
        .'docs/training.md';

    public function handle(): int
    {
        $people = max(2, (int) $this->text('people'));
        $seed = $this->text('seed');
        $lines = [
            '# Practice: who is asked what, and what it does',
            '',
            "Made by `php artisan study:training --people=$people --seed=$seed --out=docs/training.md`, learner version "
                .Learner::VERSION.'. Do not edit.',
            '',
            'What a person knows is estimated from every scored call of published rounds and every answer of practice: '
                .'logit P(right) = person + person×fault − difficulty + a·ln(1 + hits) + b·ln(1 + misses), hits and misses '
                .'being answers whose truth was told, counted half as much for every three weeks that have passed; normal '
                .'priors, the mode, Laplace’s interval (`Core\Training\Learner`). A question is the harder the more the panel '
                .'itself was split, and harder where the measurement lies inside the margin. Asked next is the fault whose '
                .'lower end (four times in five) is farthest below '
                .Written::fixed(NextQuestion::AIM, 2)
                .', none three times '
                .'running; of its swings one that is a little above the person, there and not there turn about, never the '
                .'swing before (`NextQuestion`).',
            '',
            "$people simulated people each, ".self::FAULTS.' faults, so many planted weaknesses (right about little more than '
                .'half of the time, elsewhere nine times in ten), first tested by a round of fourteen swings, then asked in '
                .'sittings of ten, one a day. They learn by another model: each fault is known to a degree, answers slip (8 %) '
                .'and are guessed (50 %), every told truth brings 16 % of what is missing, and 1.5 % of what was learnt fades '
                .'each day (`Core\Simulation\SlippingLearner`). *Found*: of the planted weaknesses the share that was '
                .'practised at least three times. *Gain*: how much likelier a right answer is afterwards, over all faults, in '
                .'points per hundred answers. ± is half a 95 % interval of the mean.',
            '',
            'It says nothing of real people yet: no constant was fitted to any.',
            '',
            '| weaknesses | answers | chosen | found, % | gain | beside the program’s |',
            '|---|---|---|---|---|---|',
        ];
        foreach ([3, 5] as $weaknesses) {
            foreach (self::ANSWERS as $answers) {
                $model = null;
                foreach (self::BY as $by => $name) {
                    [$found, $gain] = $this->measured($by, $weaknesses, $answers, $people, $seed);
                    $model ??= $gain[0];
                    $lines[] = "| $weaknesses | $answers | $name | ".self::said($found, 100.0, 0).' | '
                        .self::said($gain, 10_000.0, 1).' | '
                        .($by === 'model' ? '1' : Written::fixed($gain[0] / $model, 2)).' |';
                }
            }
        }

        return $this->put(implode("\n", [...$lines, '', ...$this->readiness($seed)])."\n");
    }

    /** @return list<string> */
    private function readiness(string $seed): array
    {
        $times = max(2, (int) $this->text('tests'));
        $lines = [
            '# Readiness: who is signed off, and on how many cases',
            '',
            "$times simulated tests each, of two criteria that must both pass (1 to 3 calls a case of what is there, 4 to 10 of "
                .'what is not, one case a golfer). How alike the calls of a case are each test learns from an academy of '
                .'twelve golfers and eight readers, at the upper end of its 80 % interval (`Core\Training\Alikeness`); nothing '
                .'is decided on fewer than '
                .TestCourse::LEAST
                .' cases. *Fixed*: a test of fixed length with the same errors. '
                .'Who is not settled at one and a half times its length is not signed off. 95 % intervals by Wilson.',
            '',
            '| bar, good | alike | the reader is right | signed off, % | cases | fixed | spared, % |',
            '|---|---|---|---|---|---|---|',
        ];
        foreach ([[0.65, 0.85], [0.5, 0.9]] as [$bar, $good]) {
            foreach ([0.0, 0.2, 0.4] as $alike) {
                foreach ([
                    'at the bar in one, good in the other' => [$bar, $good],
                    'at the bar in both' => [$bar, $bar],
                    'between in both' => [($bar + $good) / 2.0, ($bar + $good) / 2.0],
                    'good in both' => [$good, $good],
                ] as $says => $right) {
                    $study = new SignOffStudy($bar, $good, $alike);
                    $off = $cases = $fixed = 0;
                    for ($i = 0; $i < $times; $i++) {
                        $one = $study->test("$seed $bar $alike $says $i", $right);
                        $off += $one['state'] === SignOffDecision::SignedOff ? 1 : 0;
                        $cases += $one['cases'];
                        $fixed += $one['fixed'];
                    }
                    [$low, $high] = Wilson::interval($off, $times);
                    $percent = static fn (float $v): string => Written::fixed(100.0 * $v, 1);
                    $lines[] = '| '.Written::fixed($bar, 2).', '.Written::fixed($good, 2).' | '.Written::fixed($alike, 1)." | $says | "
                        .$percent((float) $off / $times).' ('.$percent($low).'–'.$percent($high).') | '
                        .Written::fixed((float) $cases / $times, 1)
                        .' | '
                        .Written::fixed((float) $fixed / $times, 1)
                        .' | '
                        .Written::fixed(100.0 * (1.0 - (float) $cases / $fixed), 0).' |';
                }
            }
        }

        return $lines;
    }

    /**
     * @param  'model'|'random'|'fixed'  $by
     * @return array{array{float, float}, array{float, float}} mean and half an interval of what was found and gained
     */
    private function measured(string $by, int $weaknesses, int $answers, int $people, string $seed): array
    {
        $study = new TrainingStudy(
            array_map(static fn (int $i): string => "fault-$i", range(1, self::FAULTS)),
            $weaknesses,
        );
        $found = $gain = [];
        for ($i = 0; $i < $people; $i++) {
            $one = $study->person("$seed $i", $by, $answers);
            $found[] = $one['found'];
            $gain[] = $one['gain'];
        }

        return [self::mean($found), self::mean($gain)];
    }

    /**
     * @param  list<float>  $values
     * @return array{float, float}
     */
    private static function mean(array $values): array
    {
        $n = max(1, count($values));
        $mean = array_sum($values) / $n;
        $squares = array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values));

        return [$mean, Distribution::studentQuantile(0.975, max(1.0, $n - 1.0)) * sqrt($squares / max(1, $n - 1) / $n)];
    }

    /** @param  array{float, float}  $of */
    private static function said(array $of, float $times, int $digits): string
    {
        return Written::fixed($of[0] * $times, $digits).' ± '.Written::fixed($of[1] * $times, $digits);
    }
}
