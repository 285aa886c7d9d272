<?php

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Condition;
use Core\Codebook\Observability;
use Core\Codebook\Shown;
use Core\Codebook\Truth;
use Core\Codebook\Verdict;
use Core\Measurement\Lack;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Motion\Station;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;

/** Values drawn about the thresholds that the rules of a codebook speak of, some missing. */
function aboutTheLines(Codebook $codebook, Chance $c): Measurements
{
    $lines = [];
    foreach ($codebook->faults as $fault) {
        foreach ([$fault->supported, $fault->contradicted] as $rule) {
            foreach ($rule->conditions() as $condition) {
                if (! is_string($condition->threshold)) {
                    $lines[
                        $condition->measure->value.($condition->station === null ? '' : "@$condition->station")
                    ][] = $condition->threshold;
                }
            }
        }
    }
    $out = ['cop_style' => Measured::word('style', $c->uniform() < 0.5 ? 'returning' : 'forward')];
    foreach ($lines as $name => $thresholds) {
        [$key, $at] = array_pad(explode('@', $name), 2, null);
        $spread = max(4.0, max($thresholds) - min($thresholds));
        $m =
            $c->uniform() < 0.1
                ? Measured::none(Measure::from($key)->unit(), Remark::of(Lack::NotMeasured))
                : Measured::value(
                    Measure::from($key)->unit(),
                    $thresholds[$c->between(0, count($thresholds) - 1)] + $c->normal(0.0, 0.5 * $spread),
                    0.3 + $c->uniform(),
                );
        if ($at === null) {
            $out[$key] = $m;
        } else {
            $out[$key][$at] = $m;
        }
    }

    return new Measurements($out);
}

it('never supports and contradicts a fault at once, under any lens', function (string $lens) {
    $codebook = Codebook::standard($lens);
    $c = new Chance("lens|$lens");
    $seen = [];
    for ($i = 0; $i < 1500; $i++) {
        $m = aboutTheLines($codebook, $c);
        foreach ($codebook->faults as $key => $fault) {
            $yes = $fault->supported->evaluate($m);
            $no = $fault->contradicted->evaluate($m);
            expect($yes === Truth::Yes && $no === Truth::Yes)->toBeFalse("$key under $lens");
            $seen[$key][$codebook->judge($key, $m)->verdict->value] = true;
        }
    }
    foreach ($seen as $key => $verdicts) {
        expect(count($verdicts))->toBeGreaterThanOrEqual(
            3,
            "$key under $lens reaches only ".implode(', ', array_keys($verdicts)),
        );
    }
})->with(['early-recentre', 'loaded-top', 'quiet-centre']);

it('gives a verdict its deciding conditions, and they are true of it', function () {
    $codebook = Codebook::standard();
    $c = new Chance('deciding');
    for ($i = 0; $i < 400; $i++) {
        $m = aboutTheLines($codebook, $c);
        foreach ($codebook->keys() as $key) {
            $j = $codebook->judge($key, $m);
            if ($j->verdict === Verdict::NotMeasurable) {
                expect($j->deciding)->toBe([]);

                continue;
            }
            expect($j->deciding)->not->toBe([]);
            if ($j->verdict === Verdict::Supported || $j->verdict === Verdict::Contradicted) {
                $held = array_filter($j->deciding, static fn (Condition $d): bool => $d->evaluate($m) === Truth::Yes);
                expect($held)->not->toBe([], "$key: ".json_encode($j->deciding));
            }
        }
    }
});

it('shows no fault on evidence its catalogue says cannot show it, whatever was measured', function (Shown $held) {
    $codebook = Codebook::standard();
    $c = new Chance('blind');
    for ($i = 0; $i < 60; $i++) {
        $m = aboutTheLines($codebook, $c);
        foreach ($codebook->faults as $key => $fault) {
            if ($fault->observability($held) === Observability::NotObservable) {
                $j = $codebook->judge($key, $m, $held);
                expect($j->verdict)
                    ->toBe(Verdict::NotMeasurable)
                    ->and(inWords()->say($j->why))
                    ->toContain('cannot be seen with what is held');
            }
        }
    }
})->with([
    'nothing' => [new Shown(null, false)],
    'a mat' => [new Shown(DeviceClass::Mat, false)],
    'a plate' => [new Shown(DeviceClass::Plate, false)],
    'two plates' => [new Shown(DeviceClass::DualPlate, false)],
    'film' => [new Shown(null, true)],
    'points' => [new Shown(null, false, true)],
]);

it('sees more with more: adding evidence never makes a fault harder to see', function () {
    $rank = [
        Observability::NotObservable->value => 0,
        Observability::Indirect->value => 1,
        Observability::Observable->value => 2,
    ];
    foreach (Codebook::standard()->faults as $key => $fault) {
        foreach (DeviceClass::cases() as $device) {
            $trace = $rank[$fault->observability(new Shown($device, false))->value];
            $both = $rank[$fault->observability(new Shown($device, true))->value];
            $all = $rank[$fault->observability(new Shown($device, true, true))->value];
            $film = $rank[$fault->observability(new Shown(null, true))->value];
            expect($both)
                ->toBeGreaterThanOrEqual(max($trace, $film), "$key with {$device->value}")
                ->and($all)
                ->toBeGreaterThanOrEqual($both, $key);
        }
        expect($rank[$fault->observability(new Shown(null, false))->value])->toBe(0);
    }
});

it('has for every indirect sight a proxy with a name, and for every fault what helps or why nothing does', function () {
    $drills = [
        'step-in',
        'heel-plant',
        'slider-push',
        'marker-guard',
        'brush-ahead',
        'wall-bump',
        'pause-and-complete',
        'hop-through',
        'split-stance',
        'box-turn',
        'arm-drop',
        'short-finish',
        'heel-down-press',
        'open-set',
        'rocker',
    ];
    foreach (Codebook::standard()->faults as $key => $fault) {
        foreach ($fault->observabilities as $entry) {
            if ($entry->sight === Observability::Indirect) {
                expect($entry->proxy)->toBeString($key)->not->toBe('');
            }
            // A proxy may hint and not deny; it never denies without hinting.
            expect($entry->supported === null && $entry->contradicted !== null)->toBeFalse("$key only denies");
        }
        expect($fault->helps)
            ->not->toBe([], $key)
            ->and(array_diff([...$fault->helps, ...$fault->harms], $drills))
            ->toBe([], $key)
            ->and(array_intersect($fault->helps, $fault->harms))
            ->toBe([], $key)
            ->and($fault->misses)
            ->not->toBe([], $key)
            ->and($fault->cause)
            ->toBeString()
            ->and($fault->consequence)
            ->toBeString();
    }
});

it('has bands that its own rules do not call a fault, under every lens', function (string $lens) {
    $codebook = Codebook::standard($lens);
    foreach ($codebook->lens->bands as $name => [$low, $high]) {
        [$key, $at] = array_pad(explode('@', $name), 2, null);
        $one = Measured::value(Measure::from($key)->unit(), ($low + $high) / 2, 0.1);
        $m = new Measurements([$key => $at === null ? $one : [$at => $one]]);
        foreach ($codebook->faults as $fault => $definition) {
            expect($definition->judge($m)->verdict)->not->toBe(
                Verdict::Supported,
                "$fault by the middle of $name under $lens",
            );
        }
    }
})->with(['early-recentre', 'loaded-top', 'quiet-centre']);

it('names its lenses, the default first, and refuses one it does not hold', function () {
    expect(CodebookDocument::standard()->lenses())
        ->toBe(['early-recentre' => 'early recentre', 'loaded-top' => 'loaded top', 'quiet-centre' => 'quiet centre'])
        ->and(fn () => CodebookDocument::standard()->under('moonwalk'))
        ->toRefuse('held: early-recentre, loaded-top, quiet-centre');
    foreach (Codebook::standard()->faults as $fault) {
        expect(Station::tryFrom($fault->station->value))->not->toBeNull();
    }
});
