<?php

use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\DrillPlan;
use Core\Codebook\Limit;
use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSeverity;
use Core\Codebook\LimitSide;
use Core\Codebook\Rung;

it('says of every drill how it is prescribed, under every lens, and of a warning nothing', function () {
    $lenses = array_keys(CodebookDocument::standard()->lenses());
    foreach (Codebook::standard()->drills() as $key => $drill) {
        if ($drill->harms) {
            expect($drill->plan)->toBeNull($key);

            continue;
        }
        $plan = $drill->plan;
        expect($plan)->toBeInstanceOf(DrillPlan::class, $key)
            ->and(array_keys($plan->lenses))->toEqualCanonicalizing($lenses)
            ->and($plan->ladder())->not->toBe([], $key)
            ->and($plan->loads)->not->toBe([], $key);
        foreach ([$plan->dose, $plan->check, $plan->pass, $plan->stop, $plan->ball, $plan->feels] as $says) {
            expect($says)->toMatch('/^[A-Z].*\.$/u', $key);
        }
        foreach ($plan->loads as [$region, $side]) {
            // A limit that could speak against it can be held of a golfer at all.
            expect(new Limit($region, LimitSeverity::Avoid, $side))->toBeInstanceOf(Limit::class);
        }
    }
});

it('is spoken against by a limit of what it loads, on that side', function () {
    $drills = Codebook::standard()->drills();
    $limit = fn (LimitRegion $r, ?LimitSide $s): Limit => new Limit($r, LimitSeverity::Avoid, $s);
    $loads = fn (string $drill, Limit $l): bool => $drills[$drill]->plan->loads($l);
    expect($loads('step-in', $limit(LimitRegion::Knee, LimitSide::Lead)))->toBeTrue()
        ->and($loads('step-in', $limit(LimitRegion::Knee, LimitSide::Both)))->toBeTrue()
        ->and($loads('step-in', $limit(LimitRegion::Knee, LimitSide::Trail)))->toBeFalse()
        ->and($loads('rocker', $limit(LimitRegion::Balance, null)))->toBeTrue()
        ->and($loads('hop-through', $limit(LimitRegion::Knee, LimitSide::Trail)))->toBeTrue()
        ->and($loads('brush-ahead', $limit(LimitRegion::Eyes, null)))->toBeFalse();
});

it('climbs from rung to rung', function () {
    $drills = Codebook::standard()->drills();
    expect($drills['wall-bump']->plan->ladder())->toBe([Rung::Rehearsal])
        ->and($drills['marker-guard']->plan->ladder())->toBe([
            Rung::Rehearsal, Rung::WithClub, Rung::HalfSwing, Rung::MidIron, Rung::LongClub, Rung::FullSpeed,
        ])
        ->and($drills['heel-plant']->plan->ladder())->not->toContain(Rung::Rehearsal)->toContain(Rung::Course);
});

it('names no measure that a drill should change and no fault it helps without knowing it', function () {
    $codebook = Codebook::standard();
    foreach ($codebook->faults as $key => $fault) {
        foreach ([...$fault->helps, ...$fault->harms] as $drill) {
            expect(array_key_exists($drill, $codebook->drills()))->toBeTrue("$key: $drill");
        }
        // What helps a fault is none of what makes it worse.
        expect(array_intersect($fault->helps, $fault->harms))->toBe([], $key);
    }
});
