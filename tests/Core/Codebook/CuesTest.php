<?php

use Core\Codebook\CodebookDocument;
use Core\Codebook\CodebookException;
use Core\Codebook\CueCheck;
use Core\Codebook\CuePhrase;
use Core\Codebook\Shown;
use Core\Trace\DeviceClass;

it('finds a phrase as whole words, however it is written', function (string $cue, array $found) {
    $check = CueCheck::of($cue, CodebookDocument::standard()->cues(), null);
    expect(array_keys($check->provokes))->toBe($found)->and($check->unsupported)->toBe([]);
})->with([
    ['Fire your HIPS!', ['fire-hips']],
    ['fire … the,  hips', ['fire-hips']],
    ['misfire the hipster', []],
    ['stay back, then jump up', ['stay-back', 'jump']],
    ['jumper', []],
    ['', []],
    ['land heel, then turn', []],
    ["stay\nback", ['stay-back']],
]);

it('lets nobody claim what was not shown', function () {
    $phrases = CodebookDocument::standard()->cues();
    $of = static fn (?DeviceClass $device, string $cue): array => array_keys(
        CueCheck::of($cue, $phrases, new Shown($device, true))->unsupported,
    );
    expect($of(DeviceClass::Mat, 'push off the trail foot'))->toBe(['whose-push'])
        ->and($of(DeviceClass::Plate, 'push off the trail foot'))->toBe(['whose-push'])
        ->and($of(DeviceClass::DualPlate, 'push off the trail foot'))->toBe([])
        ->and($of(DeviceClass::Mat, 'screw the feet'))->toBe(['twist-the-ground'])
        ->and($of(DeviceClass::Plate, 'screw the feet'))->toBe([])
        ->and($of(null, 'your knees part'))->toBe(['knee-gap-claim'])
        ->and(CueCheck::of('your knees part', $phrases, new Shown(null, false, true))->unsupported)->toBe([]);
});

it('counts words, and eight are the most', function (string $cue, int $words, bool $long) {
    $check = CueCheck::of($cue, [], null);
    expect($check->words)->toBe($words)->and($check->isTooLong())->toBe($long);
})->with([
    ['', 0, false], ['  lead   heel first ', 3, false], ['one two three four five six seven eight', 8, false],
    ['one two three four five six seven eight nine', 9, true], ["léad\theel", 2, false],
]);

it('provokes only faults there are, says why, and reads back as it was', function () {
    $document = CodebookDocument::standard();
    $seen = [];
    foreach ($document->cues() as $key => $cue) {
        expect(array_diff($cue->provokes, array_keys($document->toArray()['faults'])))->toBe([], $key)
            ->and($cue->why)->toMatch('/^[A-Z].*\.$/u')
            ->and(CuePhrase::read($key, json_decode(json_encode($cue->write()), true)))->toEqual($cue)
            ->and(CueCheck::wordsIn($cue->instead))->toBeLessThanOrEqual(12)
            // What is put in the place of a phrase is no such phrase itself.
            ->and(CueCheck::of($cue->instead, $document->cues(), null)->provokes)->toBe([], $key);
        foreach ($cue->said as $said) {
            expect($cue->foundIn("now $said please"))->not->toBeNull()->and($seen)->not->toHaveKey($said);
            $seen[$said] = true;
        }
    }
});

it('refuses a phrase without words, or without anything to say against it', function (array $wrong) {
    $row = ['said' => ['do it'], 'provokes' => ['sway'], 'claims' => [], 'why' => 'It does.', 'instead' => ''];
    expect(fn () => CuePhrase::read('do-it', [...$row, ...$wrong]))->toThrow(CodebookException::class);
})->with([
    [['said' => []]], [['said' => ['…', ' ']]], [['said' => 'do it']], [['provokes' => []]], [['why' => '']],
    [['claims' => [['smell']]]], [['claims' => [[]]]], [['claims' => 'force']],
]);
