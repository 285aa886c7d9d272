<?php

use Core\Film\Container;
use Core\Film\FilmFacts;

function probe(array $stream = [], ?array $times = null): array
{
    return [
        'streams' => [
            ['index' => 1, 'codec_type' => 'audio'],
            array_replace(
                ['index' => 0, 'codec_type' => 'video', 'codec_name' => 'h264', 'width' => 1920, 'height' => 1080],
                $stream,
            ),
        ],
        'packets' => array_map(
            static fn (float $t): array => ['stream_index' => 0, 'pts_time' => (string) $t, 'flags' => 'K__'],
            $times ?? array_map(static fn (int $n): float => 0.04 + $n / 60, range(0, 120)),
        ),
    ];
}

it('reads size, turn and times, the first picture at nought', function () {
    $facts = FilmFacts::fromProbe(probe(['side_data_list' => [['rotation' => -90]]]));
    expect([$facts->codec, $facts->width, $facts->height, $facts->rotation, $facts->times[0]])
        ->toBe(['h264', 1080, 1920, 270, 0.0])
        ->and($facts->durationS())
        ->toEqualWithDelta(2.0, 1e-9)
        ->and($facts->isUneven())
        ->toBeFalse();
});

it('puts pictures in the order they are shown, whatever the order they are stored in', function () {
    $facts = FilmFacts::fromProbe(probe([], [0.0, 0.1, 0.05, 0.2, 0.15, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5]));
    expect($facts->times)->toBe([0.0, 0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5]);
});

it('knows a phone by its uneven pictures, and pixels that are not square', function () {
    $times = array_map(static fn (int $n): float => $n / 30 + ($n % 7 === 3 ? 0.012 : 0.0), range(0, 60));
    $facts = FilmFacts::fromProbe(probe(['sample_aspect_ratio' => '4:3', 'width' => 1440], $times));
    expect($facts->isUneven())->toBeTrue()->and($facts->width)->toBe(1920);
});

it('refuses what is no film of a swing, in a sentence', function (array $probe, string $says) {
    expect(fn () => FilmFacts::fromProbe($probe))->toRefuse($says);
})->with([
    'nothing' => [[], 'no film in this file'],
    'sound only' => [['streams' => [['codec_type' => 'audio', 'codec_name' => 'aac']]], 'no film in this file'],
    'a cover picture' => [probe(['disposition' => ['attached_pic' => 1]]), 'no film in this file'],
    'more than can be made ready' => [
        probe(['width' => 7680, 'height' => 4320], array_map(static fn (int $n): float => $n / 60, range(0, 2000))),
        'more than can be made ready',
    ],
    'an odd codec' => [probe(['codec_name' => 'rawvideo<b>']), 'not taken (rawvideob)'],
    'too large' => [probe(['width' => 40000]), '40000 × 1080'],
    'too small' => [probe(['height' => 2]), '1920 × 2'],
    'one picture' => [probe([], [0.0]), 'one picture'],
    'cut off' => [probe(['nb_frames' => '300']), 'should have 300 pictures, but only 121'],
    'an hour' => [probe([], array_map(static fn (int $n): float => (float) $n, range(0, 3600, 2))), 'at most 120 s'],
    'nonsense' => [['streams' => 'x', 'packets' => 7], 'no film'],
    'packets without times' => [[...probe(), 'packets' => [['stream_index' => 0], 'x', null]], '0 pictures'],
]);

it('tells a wrapping by its first bytes and nothing else', function (string $head, ?Container $is) {
    expect(Container::recognised($head))->toBe($is);
})->with([
    ["\0\0\0\x18ftypmp42", Container::Mov],
    ["\0\0\0\x08wide\0\0\0\0", Container::Mov],
    ["\x1A\x45\xDF\xA3\x01\0\0\0\0\0\0\0", Container::Matroska],
    ["#EXTM3U\n#EXT-X-", null],
    ["ffconcat version 1.0\nfile /etc/passwd", null],
    ["RIFF\0\0\0\0AVI ", null],
    ['', null],
    ["\0\0\0\x18", null],
]);

it('turns a film as its file says, by quarters, and swaps its sides only where it lies', function (
    float|string $said,
    int $turned,
) {
    $side = [['side_data_type' => 'x'], 'odd', ['rotation' => $said]];
    $facts = FilmFacts::fromProbe(probe(['side_data_list' => $side]));
    expect($facts->rotation)->toBe($turned)
        ->and([$facts->width, $facts->height])->toBe($turned % 180 === 0 ? [1920, 1080] : [1080, 1920]);
})->with([
    [0, 0], [90, 90], [180, 180], [270, 270], [360, 0], [450, 90], [-90, 270], [-180, 180], [-270, 90],
    [89.6, 90], [-90.4, 270], ['180', 180], [44.9, 0],
]);
