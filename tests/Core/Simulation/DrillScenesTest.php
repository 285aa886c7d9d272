<?php

declare(strict_types=1);

use Core\Codebook\Codebook;
use Core\Drawing\Aid;
use Core\Drawing\Mannequin;
use Core\Drawing\Shape;
use Core\Motion\Vec3;
use Core\Motion\View;
use Core\Simulation\DrillDrawing;
use Core\Simulation\DrillScene;
use Core\Simulation\DrillScenes;
use Core\Simulation\Plant;
use Core\Simulation\Pose;
use Core\Simulation\Poser;
use Core\Simulation\SimulationException;

function limbs(Pose $pose): array
{
    $p = $pose->points;
    $out = [];
    foreach (['lead', 'trail'] as $side) {
        $out["$side thigh"] = $p["{$side}_hip"]->minus($p["{$side}_knee"])->length();
        $out["$side shank"] = $p["{$side}_knee"]->minus($p["{$side}_ankle"])->length();
    }

    return $out;
}

it('draws every drill of the codebook in two to four moments, none of them torn, all upright on the ground', function () {
    $scenes = DrillScenes::all();
    expect(array_keys($scenes))->toEqualCanonicalizing(array_keys(Codebook::standard()->drills()));
    $whole = limbs((new Poser)->at('AD'));
    foreach ($scenes as $key => $scene) {
        expect($scene->isWarning)->toBe(Codebook::standard()->drills()[$key]->harms, $key);
        foreach ($scene->moments as $i => $pose) {
            foreach (limbs($pose) as $limb => $length) {
                // What is drawn as a warning may be forced.
                expect(abs($length - $whole[$limb]))->toBeLessThan($scene->isWarning ? 90.0 : 25.0, "$key $i $limb");
            }
            foreach (['lead', 'trail'] as $side) {
                expect($pose->points["{$side}_heel"]->z)->toBeGreaterThan(-80.0)
                    ->and($pose->points["{$side}_knee"]->z)->toBeGreaterThan($pose->points["{$side}_ankle"]->z);
            }
            expect($pose->points['head']->z)->toBeGreaterThan(1200.0);
        }
        $drawing = DrillDrawing::of($scene);
        expect($drawing->moments)->toHaveCount(count($scene->moments))
            ->and($drawing->width)->toBeGreaterThan(0.0)
            ->and($drawing->top())->toBeLessThan(0.0);
        foreach ($drawing->moments as $moment) {
            foreach ($moment['shapes'] as $shape) {
                expect($shape->path)->not->toContain('NAN')->not->toContain('INF')->toMatch('/^M/');
            }
        }
    }
});

it('moves a foot, a heel, the body and the knees, and leaves the rest', function () {
    $of = (new Poser)->at('AD');
    $stepped = $of->foot('lead', -100.0, 20.0, 30.0);
    expect($stepped->points['lead_toe']->minus($of->points['lead_toe'])->minus(new Vec3(-100.0, 20.0, 30.0))->length())
        ->toBeLessThan(1e-9)
        ->and($stepped->points['trail_toe'])->toEqual($of->points['trail_toe'])
        ->and($stepped->points['head'])->toEqual($of->points['head']);
    $over = $of->body(60.0);
    expect($over->points['pelvis']->x)->toEqualWithDelta($of->points['pelvis']->x + 60.0, 1e-9)
        ->and($over->points['lead_heel'])->toEqual($of->points['lead_heel']);
    $up = $of->heel('trail', 80.0);
    expect($up->points['trail_heel']->z)->toEqualWithDelta($of->points['trail_heel']->z + 80.0, 1e-9)
        ->and($up->points['trail_toe'])->toEqual($of->points['trail_toe']);
    foreach (limbs($over) as $limb => $length) {
        expect($length)->toEqualWithDelta(limbs($of)[$limb], 1.0);
    }
    expect($of->folded()->points)->not->toHaveKey('grip')
        ->and($of->empty()->points)->not->toHaveKey('club_head')
        ->and($of->clubAcross()->points)->toHaveKeys(['grip', 'club_head'])
        ->and($of->knees(50.0)->points['lead_knee']->x)->toEqualWithDelta($of->points['lead_knee']->x + 50.0, 1e-9)
        ->and($of->moved(10.0)->points['head']->x)->toEqualWithDelta($of->points['head']->x + 10.0, 1e-9);
    // A planted fault is another body.
    expect((new Poser)->at('IM', new Plant(['hang-back' => 2.8]))->points['pelvis']->x)
        ->toBeLessThan((new Poser)->at('IM')->points['pelvis']->x);
});

it('is no scene with one moment, or five, or with aids for others', function (int $moments, int $aids) {
    $pose = (new Poser)->at('AD');
    new DrillScene(View::FaceOn, array_fill(0, $moments, $pose), array_fill(0, $aids, []));
})->with([[1, 1], [5, 5], [2, 3]])->throws(SimulationException::class);

it('draws the near limb over the far one, seen from the front and down the line', function () {
    $pose = (new Poser)->at('TP');
    $parts = fn (View $view): array => array_map(
        fn (Shape $s): string => $s->part,
        Mannequin::of($pose->points, $view)->shapes,
    );
    // Looked at along the target line the lead side is the farther: what is drawn first is of it.
    $down = $parts(View::DownTheLine);
    expect(array_search('lead', $down, true))->toBeLessThan(array_search('trail', $down, true))
        ->and($parts(View::FaceOn))->toContain('trunk', 'skin', 'club')
        ->and(count($down))->toBe(count($parts(View::FaceOn)));
    // Without a club none is drawn.
    expect(array_map(fn (Shape $s): string => $s->part, Mannequin::of($pose->empty()->points, View::FaceOn)->shapes))->not->toContain('club');
});

it('draws what a drill is done with, beneath the feet or before them', function () {
    $at = new Vec3(10.0, 20.0, 0.0);
    $far = new Vec3(200.0, 50.0, 10.0);
    foreach ([Aid::rod($at, $far), Aid::marker($at), Aid::disc($at), Aid::wall(400.0, 1600.0), Aid::board($at, $far), Aid::tee($at), Aid::ball($at), Aid::box($at, $far), Aid::arrow($at, $far), Aid::arrow($at, $at)] as $aid) {
        foreach ([View::FaceOn, View::DownTheLine] as $view) {
            expect($aid->shapes($view))->not->toBeEmpty();
            foreach ($aid->shapes($view) as $shape) {
                expect($shape->path)->not->toContain('NAN')->toMatch('/^M-?\d/');
            }
        }
    }
    expect(Aid::disc($at)->isBeneath())->toBeTrue()->and(Aid::rod($at, $far)->isBeneath())->toBeFalse();
});
