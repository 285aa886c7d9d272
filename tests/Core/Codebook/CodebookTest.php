<?php

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\Condition;
use Core\Codebook\Rule;
use Core\Codebook\Truth;
use Core\Codebook\Verdict;
use Core\CoreException;
use Core\Measurement\Bound;
use Core\Measurement\Lack;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Motion\Station;
use Core\Remark\Remark;

/** Measurements drawn at random over the range each can take; some missing, some censored. */
function drawn(Chance $c): Measurements
{
    $out = [];
    foreach (Measure::cases() as $m) {
        $one = static function () use ($c, $m): Measured {
            if ($c->uniform() < 0.12) {
                return Measured::none($m->unit(), Remark::of(Lack::NotMeasured));
            }
            if ($m === Measure::CopStyle) {
                return Measured::word($m->unit(), $c->uniform() < 0.5 ? 'returning' : 'forward');
            }
            [$low, $high] = match ($m) {
                Measure::TrailPeakAt => [0.0, 1.0],
                Measure::RecentreLead => [-250.0, 250.0],
                Measure::Rise => [90.0, 180.0],
                Measure::RiseAt => [-60.0, 140.0],
                Measure::PelvisSway, Measure::ChestSway => [-40.0, 40.0],
                Measure::FootSpin => [-10.0, 50.0],
                default => [0.0, 100.0],
            };
            $value = $low + $c->uniform() * ($high - $low);
            if ($m === Measure::RecentreLead && $c->uniform() < 0.2) {
                return Measured::censored(
                    $m->unit(),
                    $value < 0 ? 'below' : 'above',
                    $value,
                    4.0,
                    Bound::NeverRecentred,
                );
            }

            return Measured::value($m->unit(), $value, 0.5 + 3.0 * $c->uniform());
        };
        $out[$m->value] = in_array($m, [Measure::PelvisSway, Measure::ChestSway], true)
            ? array_map(
                static fn (Station $s): Measured => $one(),
                array_combine(array_column(Station::cases(), 'value'), Station::cases()),
            )
            : $one();
    }

    return new Measurements($out);
}

it('never supports and contradicts a fault at once', function () {
    $c = new Chance('both');
    for ($i = 0; $i < many(800, 3000); $i++) {
        $m = drawn($c);
        foreach (Codebook::standard()->faults as $key => $fault) {
            $both = $fault->supported->evaluate($m) === Truth::Yes && $fault->contradicted->evaluate($m) === Truth::Yes;
            expect($both)->toBeFalse("$key is both");
        }
    }
});

it('has a margin whose sign agrees with its truth, wherever it has one', function () {
    $c = new Chance('margins');
    for ($i = 0; $i < many(500, 1500); $i++) {
        $m = drawn($c);
        foreach (Codebook::standard()->faults as $fault) {
            foreach ([$fault->supported, $fault->contradicted] as $rule) {
                $margin = $rule->margin($m);
                $truth = $rule->evaluate($m);
                if (
                    $margin !== null &&
                    abs($margin) > 1e-9 &&
                    array_intersect(array_column($rule->conditions(), 'op'), ['is', 'not']) === []
                ) {
                    expect($margin > 0 ? Truth::Yes : Truth::No)->toBe($truth);
                }
                if ($truth === Truth::Unknown) {
                    expect($margin)->toBeNull();
                }
            }
        }
    }
});

it('is sure of a verdict only beyond its uncertainty', function () {
    $c = new Chance('sure');
    $seen = [];
    for ($i = 0; $i < many(300, 800); $i++) {
        $m = drawn($c);
        foreach (Codebook::standard()->faults as $fault) {
            $j = $fault->judge($m);
            $seen[$j->verdict->value] = true;
            if ($j->verdict === Verdict::NotMeasurable) {
                expect($j->margin)->toBeNull()->and($j->isSure())->toBeFalse();
            }
            if ($j->verdict === Verdict::Borderline && $j->margin !== null) {
                expect($j->margin)->toBeLessThanOrEqual(0.0);
            }
            expect(mb_strlen(inWords()->say($j->why, ['fault' => $fault->name])))->toBeLessThan(640);
        }
    }
    expect($seen)->toHaveCount(4);
});

it('loses certainty, never turns about, when a measurement goes missing', function () {
    $c = new Chance('missing');
    for ($i = 0; $i < 400; $i++) {
        $m = drawn($c);
        foreach (Codebook::standard()->faults as $key => $fault) {
            foreach (
                array_unique(
                    array_map(static fn (Condition $c): string => $c->measure->value, $fault->supported->conditions()),
                ) as $name
            ) {
                if ($key === 'early-rise') {
                    // Of two ways to tell it the second is asked where the first is missing.
                    continue;
                }
                $without = new Measurements(array_diff_key($m->all(), [$name => true]));
                $before = $fault->supported->evaluate($m);
                $after = $fault->supported->evaluate($without);
                expect($after === Truth::Unknown || $after === $before || $before === Truth::Unknown)->toBeTrue(
                    "$key turned about without $name",
                );
            }
        }
    }
});

it('has all it needs for every fault, in the order of a swing', function () {
    $codebook = Codebook::standard();
    expect($codebook->version)
        ->toBe('2')
        ->and($codebook->lens->key)
        ->toBe('early-recentre')
        ->and($codebook->faults)
        ->toHaveCount(28);
    foreach ($codebook->faults as $key => $fault) {
        expect($fault->key)
            ->toBe($key)
            ->and($key)
            ->toMatch('/^[a-z]+(-[a-z]+)*$/')
            ->and($fault->lookFor)
            ->not->toBe('')
            ->and($fault->counterExample)
            ->not->toBe('')
            ->and($fault->observabilities)
            ->not->toBe([]);
        foreach ([...$fault->supported->conditions(), ...$fault->contradicted->conditions()] as $c) {
            expect($c->station === null || Station::tryFrom($c->station) !== null)->toBeTrue();
        }
    }
});

it('has bands that lie on the contradicted side of its own rules', function () {
    $lens = Codebook::standard()->lens;
    foreach (
        [
            'no-load' => 'trail_peak',
            'hang-back' => 'impact_share',
            'late-recentre' => 'recentre_lead',
            'sway' => 'pelvis_sway@LB',
            'late-load' => 'trail_peak_at',
        ] as $fault => $name
    ) {
        [$low, $high] = $lens->bands[$name];
        foreach ([$low + 0.01, ($low + $high) / 2, $high - 0.01] as $value) {
            [$key, $station] = array_pad(explode('@', $name), 2, null);
            $m = Measured::value(Measure::from($key)->unit(), $value, 0.1);
            $all = ['cop_style' => Measured::word('style', 'forward'), 'lead_peak' => Measured::value('%', 90.0, 1.0)];
            $all[$key] = $station === null ? $m : [$station => $m];
            expect(Codebook::standard()->fault($fault)->judge(new Measurements($all))->verdict)->not->toBe(
                Verdict::Supported,
                "$fault at $value",
            );
        }
    }
});

it('knows no fault that is not in it', function () {
    Codebook::standard()->fault('moonwalk');
})->throws(CoreException::class, 'codebook.no-fault {"key":"moonwalk"}');

it('says a rule in words, with and without the values found', function () {
    $rule = Rule::from(['any', ['rise', '<', 118], ['rise_at', '<', 0]]);
    $m = new Measurements([
        'rise' => Measured::value('%BW', 110.0, 1.5),
        'rise_at' => Measured::value('ms', 42.0, 7.0),
    ]);
    expect(inWords()->say($rule->remark()))
        ->toBe('rise of vertical force < 118 %BW or when the rise peaks, before impact < 0 ms')
        ->and(inWords()->say($rule->remark($m)))
        ->toBe('rise of vertical force 110 ± 1.5 (rule: < 118 %BW)')
        ->and(inWords()->say(Rule::from(['pelvis_sway@LB', '<', -18])->remark()))
        ->toBe('pelvis sway at LB < −18 % of stance width')
        ->and(inWords()->say(Rule::from(['cop_style', 'is', 'returning'])->remark($m)))
        ->toBe('style of the pressure path is not measurable (not measured here)');
});
