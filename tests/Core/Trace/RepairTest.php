<?php

use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Quality;
use Core\Trace\QualityFinding;
use Core\Trace\Repair;
use Core\Trace\RepairKind;
use Core\Trace\Trace;

/** @param  callable(string, float): float  $spoil */
function wrongly(DeviceClass $device, callable $spoil, float $rateTimes = 1.0): array
{
    $s = Swing::simulated(new GolferSpec('repair', device: $device));
    $channels = [];
    foreach ($s->trace->channels as $name => $values) {
        $channels[$name] = array_map(static fn (float $v): float => $spoil($name, $v), $values);
    }

    return [$s->trace, new Trace(
        $device, $s->trace->rateHz * $rateTimes, $channels, $s->trace->stance, 78.0, $s->trace->t0 / $rateTimes,
    )];
}

/** @return array<string, list<float>> as of the other hand */
function otherHand(Trace $trace): array
{
    $out = [];
    foreach ($trace->channels as $name => $values) {
        $other = strtr($name, ['lead_' => 'trail_', 'trail_' => 'lead_']);
        $turned = preg_match('/(copx_mm|fx_n|mz_nm)$/', $name) === 1;
        $out[$other] = $turned ? array_map(static fn (float $v): float => -$v, $values) : $values;
    }

    return $out;
}

it('offers what sets a trace right, and nothing is wrong with it after that', function (
    DeviceClass $device,
    callable $spoil,
    RepairKind $kind,
    float $rateTimes = 1.0,
) {
    [$sound, $wrong] = wrongly($device, $spoil, $rateTimes);
    $offers = array_values(array_filter(array_map(
        fn (QualityFinding $f): ?Repair => Repair::of($f->remark, $device),
        Quality::findings($wrong),
    )));
    expect($offers)->not->toBe([])->and($offers[0]->kind)->toBe($kind);
    $right = Repair::from(json_decode(json_encode($offers[0]->toArray()), true))->applyTo($wrong);
    expect(array_column(Quality::findings($right), 'kind'))->toBe([])
        ->and($right->rateHz)->toEqualWithDelta($sound->rateHz, 1e-6)
        ->and($right->t0)->toEqualWithDelta($sound->t0, 1e-9);
    // Where along the feet somebody stands at rest nobody knows who has only the place.
    $origin = $kind === RepairKind::OtherOrigin ? 25.0 : 1e-6;
    foreach ($sound->channels as $name => $values) {
        foreach ([0, 100, count($values) - 1] as $i) {
            if (! is_nan($values[$i])) {
                expect($right->channels[$name][$i])->toEqualWithDelta($values[$i], $origin, $name);
            }
        }
    }
})->with([
    'metres' => [DeviceClass::DualPlate, fn (string $n, float $v): float => str_contains($n, 'cop') ? $v / 1000.0 : $v,
        RepairKind::PlacesInMetres],
    'centimetres' => [DeviceClass::Mat, fn (string $n, float $v): float => str_contains($n, 'cop') ? $v / 10.0 : $v,
        RepairKind::PlacesInCentimetres],
    'kilograms' => [DeviceClass::Plate, fn (string $n, float $v): float => preg_match('/^f._n$/', $n) === 1
        ? $v / 9.80665 : $v, RepairKind::ForcesInKilograms],
    'parts of one' => [DeviceClass::Mat, fn (string $n, float $v): float => preg_match('/^(lead|trail)_pct$/', $n) === 1
        ? $v / 100.0 : $v, RepairKind::SharesAsParts],
    'milliseconds' => [
        DeviceClass::Plate,
        fn (string $n, float $v): float => $v,
        RepairKind::TimesInMilliseconds,
        1e-3,
    ],
    'the mat’s corner' => [DeviceClass::Mat, fn (string $n, float $v): float => match ($n) {
        'copx_mm', 'lead_copx_mm', 'trail_copx_mm' => $v + 400.0,
        'copy_mm', 'lead_copy_mm', 'trail_copy_mm' => $v + 250.0, default => $v,
    }, RepairKind::OtherOrigin],
]);

it('offers to mirror what was mapped for the other hand, and to exchange what was exchanged', function () {
    foreach (DeviceClass::cases() as $device) {
        $sound = Swing::simulated(new GolferSpec('hands', device: $device))->trace;
        $channels = array_replace(array_flip(array_keys($sound->channels)), otherHand($sound));
        $wrong = new Trace($device, $sound->rateHz, $channels, $sound->stance, 78.0);
        $offer = Repair::of(Quality::findings($wrong)[0]->remark, $wrong->device);
        expect($offer?->kind)->toBe(RepairKind::SidesMirrored, $device->value);
        $right = $offer->applyTo($wrong);
        expect(Quality::findings($right))->toBe([])
            ->and($right->leadShare()->at(2.0))->toEqualWithDelta($sound->leadShare()->at(2.0), 1e-9);
    }
    // Only the names of the feet.
    $sound = Swing::simulated(new GolferSpec('hands', device: DeviceClass::DualPlate))->trace;
    $names = [];
    foreach ($sound->channels as $name => $values) {
        $names[strtr($name, ['lead_' => 'trail_', 'trail_' => 'lead_'])] = $values;
    }
    $wrong = new Trace(
        DeviceClass::DualPlate, 1000.0, array_replace($sound->channels, $names), $sound->stance, 78.0,
    );
    $offer = Repair::of(Quality::findings($wrong)[0]->remark, $wrong->device);
    expect($offer?->kind)->toBe(RepairKind::FeetExchanged)
        ->and($offer->applyTo($wrong)->channels)->toBe($sound->channels);
});

it('is not offered where nothing would set it right, and reads no nonsense', function () {
    // A single plate’s share is made of the place: how far its origin is off cannot be told.
    $off = fn (string $n, float $v): float => str_contains($n, 'cop') ? $v + 380.0 : $v;
    [, $corner] = wrongly(DeviceClass::Plate, $off);
    $finding = current(Quality::findings($corner));
    expect($finding->kind)->toBe('origin')->and(Repair::of($finding->remark, DeviceClass::Plate))->toBeNull();
    [, $stuck] = wrongly(DeviceClass::Plate, fn (string $n, float $v): float => $n === 'fz_n' ? min($v, 900.0) : $v);
    foreach (Quality::findings($stuck) as $finding) {
        expect(Repair::of($finding->remark, DeviceClass::Plate))->toBeNull();
    }
    foreach ([null, 'x', [], ['kind' => 'drop-table'], ['kind' => 3], ['kind' => ['a']]] as $nonsense) {
        expect(Repair::from($nonsense))->toBeNull();
    }
    expect(Repair::from(['kind' => 'other-origin', 'x_mm' => 'far', 'y_mm' => '3'])->toArray())
        ->toBe(['kind' => 'other-origin', 'x_mm' => 0.0, 'y_mm' => 3.0]);
});
