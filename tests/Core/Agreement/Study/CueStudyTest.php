<?php

use Core\Agreement\Study\CueStudy;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Shown;
use Core\Trace\DeviceClass;

/** @return list<array{case: string, golfer: string, rater: string, cue: string, shown: Shown}> */
function cued(array $rows): array
{
    return array_map(static fn (array $r): array => [
        'case' => $r[0], 'golfer' => $r[1], 'rater' => $r[2], 'cue' => $r[3],
        'shown' => new Shown($r[4] ?? DeviceClass::Mat, true),
    ], $rows);
}

it('counts what is known against each reader’s cues, over golfers', function () {
    $r = (new CueStudy(CodebookDocument::standard()->cues()))->of(cued([
        ['c1', 'g1', 'u1', 'fire the hips'],
        ['c2', 'g2', 'u1', 'lead heel heavy'],
        ['c3', 'g2', 'u1', 'push off the trail foot'],
        ['c4', 'g3', 'u1', ''],
        ['c1', 'g1', 'u2', 'one two three four five six seven eight nine'],
        ['c3', 'g2', 'u2', 'push off the trail foot', DeviceClass::DualPlate],
    ]));
    [$one, $two] = $r->people;
    expect([$r->sheets, $r->cues, $one->rater, $one->n, $two->n])->toBe([6, 5, 'u1', 3, 2])
        ->and($one->figures['provokes']->estimate)->toEqualWithDelta(2 / 3, 1e-12)
        ->and($one->figures['unsupported']->estimate)->toEqualWithDelta(1 / 3, 1e-12)
        ->and($one->figures['long']->estimate)->toBe(0.0)
        ->and($two->figures['long']->estimate)->toBe(0.5)
        // The same words are borne out where two plates were shown.
        ->and($two->figures['unsupported']->estimate)->toBe(0.0)
        ->and($r->words['u1'])->toEqualWithDelta((3 + 3 + 5) / 3, 1e-12)
        ->and(array_key_first($r->phrases))->toBe('whose-push')
        ->and($r->phrases['whose-push'])->toBe(['cases' => ['c3', 'c3'], 'raters' => ['u1', 'u2'], 'unsupported' => 1])
        ->and($r->phrases)->toHaveKey('fire-hips');
});

it('knows nothing of who gave none, and gives no interval of one golfer', function () {
    $study = new CueStudy(CodebookDocument::standard()->cues());
    expect($study->of([])->people)->toBe([])->and($study->of([])->cues)->toBe(0)
        ->and($study->of(cued([['c1', 'g1', 'u1', '   ']]))->people)->toBe([]);
    $one = $study->of(cued([['c1', 'g1', 'u1', 'jump'], ['c2', 'g1', 'u1', 'jump']]))->people[0];
    expect($one->figures['provokes']->estimate)->toBe(1.0)->and($one->figures['provokes']->low)->toBeNull();
});
