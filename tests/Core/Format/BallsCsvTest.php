<?php

use Core\Format\BallsCsv;

it('reads what it writes, and a file of any order of columns', function () {
    $text = "note,strike,ball,curve_deg,start_deg,height,turf,path_deg\n"
        ."first,heel,1,8.5,-3,high,dug-behind,2.5\n,centre,2,0,0,normal,,\n";
    $balls = BallsCsv::read(stream($text), 'x.csv');
    expect($balls)->toHaveCount(2)
        ->and($balls[0]['flight']->toArray())->toMatchArray(['start_deg' => -3.0, 'path_deg' => 2.5,
            'turf' => 'dug-behind'])
        ->and($balls[1]['note'])->toBeNull()->and($balls[1]['flight']->pathDeg)->toBeNull();
    expect(BallsCsv::read(stream(BallsCsv::write($balls)), 'y.csv'))->toEqual($balls);
});

it('says where a file is wrong', function (string $rows, string $says) {
    expect(fn () => BallsCsv::read(stream("ball,start_deg,curve_deg,height,strike,path_deg\n$rows\n"), 'b.csv'))
        ->toRefuse($says);
})->with([
    ['0,1,1,low,toe,', 'no number of a ball'],
    ['501,1,1,low,toe,', 'no number of a ball'],
    ['1.5,1,1,low,toe,', 'no number of a ball'],
    ["1,1,1,low,toe,\n1,1,1,low,toe,", 'stands there twice'],
    ['1,far,1,low,toe,', 'far'],
    ['1,NAN,1,low,toe,', 'NAN'],
    ['1,1e9,1,low,toe,', 'b.csv'],
    ['1,1,1,somewhere,toe,', 'b.csv'],
    ['1,,1,low,toe,', 'b.csv'],
    ['1,1,1,low,toe,99', 'b.csv'],
]);

it('needs the columns that a flight is made of', function () {
    expect(fn () => BallsCsv::read(stream("ball,start_deg\n1,2\n"), 'b.csv'))->toRefuse('curve_deg');
});
