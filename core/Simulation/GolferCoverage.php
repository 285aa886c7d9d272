<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Agreement\Figure;
use Core\Agreement\NewReaders;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\ItemResult;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Undefined;
use Core\Chance\Chance;
use Core\CoreException;
use Core\Number\Distribution;

/**
 * How often the intervals of rounds hold the truth: golfers with habits of their own bring one to five swings each,
 * readers of different skill and leaning call four faults, some calls are missing and some readers cannot tell.
 *
 * A fault is there where √ρ of the golfer and √(1−ρ) of the swing pass a threshold; a golfer is as hard for all readers
 * as a swing is. For these readers the truth is each figure on a great many golfers with the same readers; for readers
 * like them, with a great many readers as well.
 *
 * @phpstan-type Row array{truth: float, covered: float, below: float, above: float, width: float, without: int}
 */
final readonly class GolferCoverage
{
    public const FAULTS = ['w', 'x', 'y', 'z'];

    public const CANNOT_TELL = 'cannot_tell';

    /** How often each fault is there, against the mean. */
    private const SPREAD = [0.6, 0.9, 1.1, 1.4];

    /** Of the truth: golfers at once, and readers of those like them. */
    private const AT_ONCE = 1500;

    private const MANY = 150;

    /**
     * @param  float  $correlation  ρ, of the fault and of what makes a swing hard, within golfers
     * @param  bool  $pooled  over four faults, or one alone
     * @param  float  $cloud  how much what makes a swing hard moves all readers together
     */
    public function __construct(
        private float $prevalence,
        private bool $pooled,
        private float $correlation = 0.6,
        private int $readers = 8,
        private float $missing = 0.08,
        private float $unsure = 0.08,
        private float $cloud = 0.5,
        private string $seed = 'golfers',
    ) {
    }

    /** @return list<array{float, float}> skill and leaning of each reader */
    public function readers(int $count, Chance $chance): array
    {
        $out = [];
        for ($r = 0; $r < $count; $r++) {
            $out[] = [max(0.3, 1.25 + 0.35 * $chance->normal()), 0.35 * $chance->normal()];
        }

        return $out;
    }

    /** @return list<array{float, float}> the same in every study of these readers */
    public function these(): array
    {
        return $this->readers($this->readers, new Chance("$this->seed|readers"));
    }

    /**
     * @param  list<array{float, float}>  $readers
     * @param  Chance|null  $calls  what readers say, where the same golfers are wanted again
     *
     * @throws CoreException
     */
    public function draw(int $golfers, array $readers, Chance $chance, ?Chance $calls = null): RatingSet
    {
        $calls ??= $chance;
        $set = new RatingSet(apart: self::CANNOT_TELL);
        $faults = $this->pooled ? self::FAULTS : [self::FAULTS[0]];
        $thresholds = array_map(
            fn (float $of): float => Distribution::normalQuantile(1.0 - min(0.95, $this->prevalence * $of)),
            $this->pooled ? self::SPREAD : [1.0],
        );
        $both = array_map(static fn (string $fault, float $limit): array => [$fault, $limit], $faults, $thresholds);
        [$own, $each] = [sqrt($this->correlation), sqrt(1.0 - $this->correlation)];
        for ($g = 0; $g < $golfers; $g++) {
            $hard = $chance->normal();
            $habits = array_map(static fn (): float => $chance->normal(), $faults);
            for ($s = 0, $n = $chance->between(1, 5); $s < $n; $s++) {
                $case = "$g-$s";
                $set->group($case, "g$g");
                $clouded = $this->cloud * ($own * $hard + $each * $chance->normal());
                foreach ($both as $k => [$fault, $limit]) {
                    $there = $own * $habits[$k] + $each * $chance->normal() > $limit;
                    $set->addKey($case, $fault, $there ? 'present' : 'absent');
                    $again = $s === 0;
                    foreach ($readers as $r => [$skill, $lean]) {
                        foreach ($again && $r === 0 ? ['1', '2'] : ['1'] as $occasion) {
                            $p = Distribution::normal(($there ? $skill : -$skill) + $clouded - $lean);
                            $called = $calls->uniform() < $p;
                            $fate = $calls->uniform();
                            if ($fate >= $this->missing) {
                                $set->add(
                                    $case,
                                    $fault,
                                    "r$r",
                                    match (true) {
                                        $fate < $this->missing + $this->unsure => self::CANNOT_TELL,
                                        $called => 'present',
                                        default => 'absent',
                                    },
                                    $occasion,
                                    round(0.5 + 0.5 * min(1.0, abs($skill - 0.2 * abs($clouded)) / 2), 2),
                                );
                            }
                        }
                    }
                }
            }
        }

        return $set;
    }

    /**
     * @return array<string, Figure> by name
     *
     * @throws CoreException
     */
    private function figures(RatingSet $set, int $bootstrap, bool $pairs): array
    {
        $options = new StudyOptions(
            categories: ['absent', 'present'],
            cannotTell: self::CANNOT_TELL,
            pairs: $pairs,
            bootstrap: $bootstrap,
            fieldPrevalence: 0.1,
            order: false,
        );

        return self::named((new Study($set, $options))->item($set->items()));
    }

    /** @return array<string, Figure> */
    private static function named(ItemResult $r): array
    {
        $out = [
            'agreement on present' => $r->specific['present'],
            'agreement on absent' => $r->specific['absent'],
            ...array_diff_key($r->coefficients, ['conger_kappa' => true]),
        ];
        $key = array_column($r->againstKey, null, 'rater')['r0'] ?? null;
        $wrong = array_column($r->abstention->againstKey ?? [], null, 'rater')['r0'] ?? null;
        foreach ($r->mean->coefficients ?? [] as $name => $f) {
            $out["mean over faults: $name"] = $f;
        }
        if ($r->mean !== null) {
            $out['mean over faults: on present'] = $r->mean->specific['present'];
        }
        if ($r->pairs !== []) {
            $out['pair: cohen_kappa'] = $r->pairs[0]->kappa;
            $out['pair: pabak'] = $r->pairs[0]->pabak;
            $out['others: mean_kappa'] = $r->versusRest['r0'];
        }
        foreach ($r->self as $self) {
            $out['self: cohen_kappa'] = $self->figures['cohen_kappa'];
            $out['self: percent_agreement'] = $self->figures['percent_agreement'];
        }
        foreach ($key->figures ?? [] as $name => $f) {
            $out["key: $name"] = $f;
        }
        if ($r->abstention !== null) {
            $out['abstention: percent_agreement'] = $r->abstention->coefficients['percent_agreement'];
            $out['abstention: on present'] = $r->abstention->specific['present'];
        }
        foreach (['sensitivity', 'specificity', 'd_prime', 'mcc', 'answered', 'half_credit'] as $name) {
            $out["abstention: $name"] = $wrong->figures[$name] ?? Figure::undefined(Undefined::NothingToCompare);
        }

        return $out;
    }

    /**
     * What the figures are on so many golfers.
     *
     * @param  bool  $these  for these readers, or for readers like them
     * @return array<string, float>
     *
     * @throws CoreException
     */
    public function truth(int $golfers, bool $these): array
    {
        $sums = $counts = [];
        $at = min($golfers, $these ? self::AT_ONCE : intdiv(self::AT_ONCE, 10));
        for ($i = 0; $i < max(1, intdiv($golfers, $at)); $i++) {
            $chance = new Chance("$this->seed|$this->prevalence|truth|$i|".($these ? 'these' : 'like'));
            $readers = $these ? $this->these() : $this->readers(self::MANY, $chance);
            foreach ($this->figures($this->draw($at, $readers, $chance), 0, $these) as $name => $f) {
                if ($f->estimate !== null) {
                    $sums[$name] = ($sums[$name] ?? 0.0) + $f->estimate;
                    $counts[$name] = ($counts[$name] ?? 0) + 1;
                }
            }
        }

        foreach ($sums as $name => $sum) {
            $sums[$name] = $sum / $counts[$name];
        }

        return $sums;
    }

    /**
     * @param  array<string, float>  $truth
     * @param  int  $bootstrap  replicates, for golfers enough
     * @return array<string, Row> by figure
     *
     * @throws CoreException
     */
    public function run(array $truth, int $golfers, int $studies, int $bootstrap = 0): array
    {
        return Coverage::counted($truth, $studies, function (int $s) use ($golfers, $bootstrap, $truth): array {
            $chance = new Chance("$this->seed|$this->prevalence|$golfers|$s");

            return array_intersect_key(
                $this->figures($this->draw($golfers, $this->these(), $chance), $bootstrap, true),
                $truth,
            );
        });
    }

    /**
     * The same for readers drawn anew in each study.
     *
     * @param  array<string, float>  $truth  with many readers
     * @return array<string, Row> by figure
     *
     * @throws CoreException
     */
    public function runLike(array $truth, int $golfers, int $studies): array
    {
        $truth = array_intersect_key($truth, array_flip([
            'agreement on present', 'percent_agreement', 'fleiss_kappa', 'gwet_ac1', 'brennan_prediger',
            'krippendorff_alpha',
        ]));

        return Coverage::counted($truth, $studies, function (int $s) use ($golfers, $truth): array {
            $chance = new Chance("$this->seed|$this->prevalence|like|$golfers|$s");
            $set = $this->draw($golfers, $this->readers($this->readers, $chance), $chance);

            return array_map(static function (Figure $f): Figure {
                $new = $f->newReaders ?? new NewReaders(null, null, null, null);

                return new Figure($f->estimate, $new->se, $new->low, $new->high, '', null);
            }, array_intersect_key($this->figures($set, 0, false), $truth));
        });
    }
}
