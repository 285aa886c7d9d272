<?php

use Core\Chance\Chance;
use Core\Codebook\ClubGroup;
use Core\Codebook\CodebookDocument;
use Core\Codebook\CodebookException;
use Core\Codebook\Defect;
use Core\Codebook\DocumentChange;
use Core\Codebook\DocumentChanges;
use Core\Codebook\DocumentChecks;
use Core\Codebook\DocumentMerge;
use Core\Codebook\DocumentParts;
use Core\Codebook\FaultRules;
use Core\Codebook\Rule;
use Core\Codebook\RuleCells;
use Core\Codebook\StandardDrills;
use Core\Codebook\Truth;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Remark\Remark;

/*
 * A codebook is worked on as a draft: taken apart into rows and rules, put together, checked, compared, merged.
 */

/** The shipped codebook with another rule for a fault at a place. */
function ruled(string $fault, string $place, ?array $supported, ?array $contradicted): CodebookDocument
{
    $document = CodebookDocument::standard();

    return FaultRules::put($document, $fault, [
        ...FaultRules::of($document, $fault),
        $place => ['supported' => $supported, 'contradicted' => $contradicted],
    ]);
}

/** @return list<string> */
function defects(CodebookDocument $document): array
{
    return array_values(
        array_unique(array_map(static fn (Remark $r): string => $r->code, DocumentChecks::of($document))),
    );
}

it('passes its own checks as shipped, and version 1 would not', function () {
    expect(DocumentChecks::of(CodebookDocument::standard()))->toBe([]);
    $first = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/resources/codebooks/1.json'), true);
    expect(defects(CodebookDocument::fromArray($first)))->toContain(Defect::BandSupports->value);
});

it('takes the rules of every fault apart and puts them together as they were', function () {
    $document = CodebookDocument::standard();
    $places = [];
    foreach (array_keys($document->toArray()['faults']) as $fault) {
        $rules = FaultRules::of($document, $fault);
        $places = [...$places, ...array_keys($rules)];
        $again = FaultRules::put($document, $fault, $rules);
        expect(DocumentChanges::between($document, $again))->toBe([], $fault)
            ->and(FaultRules::of($again, $fault))->toBe($rules);
        foreach (array_keys($document->lenses()) as $lens) {
            foreach ([null, ...ClubGroup::cases()] as $club) {
                expect($again->under($lens, $club))->toEqual($document->under($lens, $club));
            }
        }
    }
    expect(array_unique($places))->toContain('own', 'club/wedge', 'lens/loaded-top', 'lens/quiet-centre/club/wedge',
        'sight/points', 'lens/loaded-top/sight/mat');
});

it('puts a rule nowhere but where the document has a place for it', function (string $place) {
    expect(fn () => ruled('late-recentre', $place, ['recentre_lead', '<', -90], null))
        ->toThrow(CodebookException::class);
})->with(['', 'own/more', 'club', 'club/driver', 'lens', 'lens/unheard-of', 'lens/loaded-top/club',
    'lens/loaded-top/club/putter', 'sight/smell', 'lens/loaded-top/sight', 'lens/loaded-top/nose/mat', 'faults',
    'own\0', '../own']);

it('tells the defect that a change makes', function (Closure $change, Defect $defect) {
    $document = $change(CodebookDocument::standard());
    expect(defects($document))->toBe([$defect->value]);
})->with([
    'a threshold moved into its band' => [
        fn () => ruled('sway', 'own', ['pelvis_sway@LB', '<', -11], ['pelvis_sway@LB', '>', -9]),
        Defect::BandSupports,
    ],
    'at once' => [
        fn () => ruled('toe-dive', 'own', ['toe_drift', '>', 12], ['toe_drift', '<', 13]),
        Defect::Both,
    ],
    'both on the line itself' => [
        fn () => ruled('toe-dive', 'own', ['toe_drift', '>=', 12], ['toe_drift', '<=', 12]),
        Defect::Both,
    ],
    'in its band once a time is not known' => [
        fn () => ruled('weak-couple', 'own', ['any', ['heel_toe_trail', '<', 5],
            ['all', ['heel_toe_trail', '<', 12], ['heel_toe_trail_at', '>', 60]]], ['heel_toe_trail', '>', 30]),
        Defect::BandSupports,
    ],
    'never supported' => [
        fn () => ruled(
            'toe-dive',
            'own',
            ['all', ['toe_drift', '>', 20], ['toe_drift', '<', 15]],
            ['toe_drift', '<', 6],
        ),
        Defect::NeverSupported,
    ],
    'never denied' => [
        fn () => ruled(
            'toe-dive',
            'own',
            ['toe_drift', '>', 20],
            ['all', ['toe_drift', '<', 4], ['toe_drift', '>', 5]],
        ),
        Defect::NeverDenied,
    ],
    'helps and harms' => [
        fn (CodebookDocument $d) => $d->with('faults', 'hang-back', [
            ...$d->toArray()['faults']['hang-back'], 'harms' => $d->toArray()['faults']['hang-back']['helps'],
        ]),
        Defect::HelpsAndHarms,
    ],
    'a drill nobody knows' => [
        fn (CodebookDocument $d) => $d->with('faults', 'hang-back', [
            ...$d->toArray()['faults']['hang-back'], 'helps' => ['no-such-drill'],
        ]),
        Defect::NoDrill,
    ],
    'a drill without its plan' => [
        fn (CodebookDocument $d) => $d->with('drills', 'rocker', array_diff_key($d->whole()['drills']['rocker'],
            ['plan' => 1])),
        Defect::NoPlan,
    ],
    'a phrase that provokes nothing known' => [
        fn (CodebookDocument $d) => $d->with(
            'cues',
            'jump',
            [...$d->whole()['cues']['jump'], 'provokes' => ['none-such']],
        ),
        Defect::ProvokesNothing,
    ],
]);

it('finds in its cells whatever sampled values find', function () {
    $c = new Chance('cells');
    $measures = ['top_share', 'recentre_lead', 'pelvis_sway@LB'];
    $rule = function (int $deep) use (&$rule, $c, $measures): array {
        if ($deep === 0 || $c->uniform() < 0.4) {
            return [
                $measures[$c->between(0, 2)],
                ['<', '<=', '>', '>='][$c->between(0, 3)],
                (float) $c->between(-2, 2),
            ];
        }

        return [['all', 'any', 'first'][$c->between(0, 2)], ...array_map(
            static fn () => $rule($deep - 1),
            range(1, $c->between(1, 3)),
        )];
    };
    $reached = 0;
    for ($i = 0; $i < many(60, 600); $i++) {
        [$yes, $no] = [Rule::from($rule(2)), Rule::from($rule(2))];
        $cells = [];
        foreach (RuleCells::of([$yes, $no]) as [, $m]) {
            $cells[$yes->evaluate($m)->name.' '.$no->evaluate($m)->name] = true;
        }
        for ($j = 0; $j < 60; $j++) {
            // Whole numbers too: they lie on thresholds.
            $value = static fn (): Measured => Measured::value(
                '',
                $c->uniform() < 0.5 ? (float) $c->between(-3, 3) : 6.0 * $c->uniform() - 3.0,
                0.1,
            );
            $m = new Measurements([
                'top_share' => $value(), 'recentre_lead' => $value(), 'pelvis_sway' => ['LB' => $value()],
            ]);
            $found = $yes->evaluate($m)->name.' '.$no->evaluate($m)->name;
            expect(isset($cells[$found]))->toBeTrue(json_encode([$found, $yes->remark(), $no->remark()]));
            $reached += $found === 'Yes Yes' ? 1 : 0;
        }
    }
    expect($reached)->toBeGreaterThan(20);
});

it('keeps values in their bands where bands are given, and knows nothing of what has none', function () {
    $rule = Rule::from(['any', ['top_share', '>', 70], ['chest_sway@LD', '>', 16], ['cop_style', 'is', 'returning']]);
    $seen = [];
    foreach (RuleCells::of([$rule], ['top_share' => [40.0, 75.0]]) as [$at, $m]) {
        expect($at['top_share'])->toBeGreaterThanOrEqual(40.0)->toBeLessThanOrEqual(75.0)
            ->and($at)->not->toHaveKey('chest_sway@LD');
        $seen[] = [$at['top_share'], $at['cop_style'], $rule->evaluate($m)];
    }
    expect(array_unique(array_column($seen, 1)))->toEqualCanonicalizing(['returning', ''])
        ->and(array_column($seen, 0))->toContain(70.0, 75.0)
        ->and(array_filter($seen, fn (array $s): bool => $s[2] === Truth::Yes && $s[0] <= 70.0 && $s[1] === ''))
        ->toBe([]);
});

it('says member by member what is another, what is new and what is gone', function () {
    $was = CodebookDocument::standard();
    $row = $was->toArray()['faults']['sway'];
    $is = ruled('sway', 'own', ['pelvis_sway@LB', '<', -19], ['pelvis_sway@LB', '>', -12])
        ->with('faults', 'sway', [...$row, 'supported' => ['pelvis_sway@LB', '<', -19], 'cause' => 'too wide a stance'])
        ->with('words', 'load', ['word' => 'load', 'means' => 'Pressure under the trail foot, no more.'])
        ->with('cues', 'slide', null)
        ->with('drills', 'rocker', [...$was->whole()['drills']['rocker'], 'steps' => ['Stand.', 'Rock.']]);
    $lens = $is->toArray()['lenses']['loaded-top'];
    $is = $is->with('lenses', 'loaded-top', [...$lens, 'bands' => [...$lens['bands'], 'top_share' => [10, 32]]]);
    $said = array_map(static fn (DocumentChange $c): array => [
        $c->part, $c->key, implode('/', $c->member),
        $c->was instanceof Remark ? $c->was->with['threshold'] : $c->was,
        $c->is instanceof Remark ? $c->is->with['threshold'] : $c->is,
    ], DocumentChanges::between($was, $is));
    $rocker = implode(' · ', $was->whole()['drills']['rocker']['steps']);
    expect($said)->toBe([
        ['faults', 'sway', 'supported', -18.0, -19.0],
        ['faults', 'sway', 'cause', $row['cause'] ?? null, 'too wide a stance'],
        ['lenses', 'loaded-top', 'bands/top_share', '12 … 32', '10 … 32'],
        ['drills', 'rocker', 'steps', $rocker, 'Stand. · Rock.'],
        ['words', 'load', '', null, 'load'],
        ['cues', 'slide', '', 'slide', null],
    ]);
    expect(DocumentChanges::between($is, $is))->toBe([]);
});

it('does not tell one sight put before others as a change of all of them', function () {
    $was = CodebookDocument::standard();
    $row = $was->toArray()['faults']['toe-dive'];
    $is = $was->with('faults', 'toe-dive', [
        ...$row,
        'sights' => [['needs' => ['mat', 'down-the-line'], 'sight' => 'not observable'], ...$row['sights']],
    ]);
    expect(array_map(
        static fn (DocumentChange $c): string => implode('/', $c->member),
        DocumentChanges::between($was, $is),
    ))->each->toStartWith('sights/mat + down-the-line');
});

it('carries a draft over to a version that came meanwhile, row by row', function () {
    $base = CodebookDocument::standard();
    $rewritten = static fn (CodebookDocument $d, string $fault, string $cause): CodebookDocument => $d->with(
        'faults',
        $fault,
        [...$d->toArray()['faults'][$fault], 'cause' => $cause],
    );
    $draft = $rewritten($rewritten($base->versioned('3'), 'sway', 'mine'), 'hang-back', 'mine too')
        ->with('cues', 'jump', null)
        ->with('words', 'press', ['word' => 'press', 'means' => 'mine']);
    $newest = $rewritten($rewritten($base->versioned('2.1'), 'hang-back', 'theirs'), 'toe-dive', 'theirs alone')
        ->with('drills', 'rocker', null);
    $merged = DocumentMerge::onto($newest, $base, $draft);
    $cause = static fn (string $fault): string => $merged->toArray()['faults'][$fault]['cause'];
    expect($merged->version())->toBe('3')
        ->and([$cause('sway'), $cause('hang-back'), $cause('toe-dive')])->toBe(['mine', 'mine too', 'theirs alone'])
        ->and($merged->drills())->not->toHaveKey('rocker')
        ->and($merged->cues())->not->toHaveKey('jump')
        ->and($merged->words())->toHaveKey('press')
        ->and(DocumentMerge::contested($newest, $base, $draft))->toBe([['faults', 'hang-back']])
        ->and(DocumentMerge::contested($base, $base, $draft))->toBe([]);
});

it('holds drills as rows that read back as they were, and refuses what is no drill', function () {
    $document = CodebookDocument::standard();
    $again = CodebookDocument::fromArray(json_decode(json_encode($document->toArray()), true));
    expect($again->drills())->toEqual(StandardDrills::all())
        ->and($again->under('loaded-top')->drills())->toEqual(StandardDrills::all());
    $row = $document->whole()['drills']['rocker'];
    $plan = $row['plan'];
    foreach ([
        ['name' => ''], ['steps' => []], ['steps' => 'rock'], ['expected' => ['no_measure' => 'more']],
        ['plan' => [...$plan, 'from' => 'course', 'to' => 'rehearsal']], ['plan' => [...$plan, 'to' => 'moon']],
        ['plan' => [...$plan, 'lenses' => ['no-lens' => ['used' => true, 'says' => 'x']]]],
        ['plan' => [...$plan, 'loads' => [['region' => 'tail']]]],
        ['plan' => [...$plan, 'loads' => [['region' => 'balance', 'side' => 'lead']]]],
        ['plan' => [...$plan, 'loads' => [['region' => 'knee', 'side' => 'upper']]]],
        ['plan' => [...$plan, 'stop' => '']],
    ] as $wrong) {
        expect(fn () => $document->with('drills', 'rocker', [...$row, ...$wrong]))
            ->toThrow(CodebookException::class);
    }
    // A document of before drills were part of it has those that shipped, and none of the academy's words.
    $old = CodebookDocument::fromArray(array_diff_key($document->toArray(), ['drills' => 1, 'cues' => 1]));
    expect($old->drills())->toEqual(StandardDrills::all())->and($old->cues())->toEqual($document->cues())
        ->and(DocumentChanges::between($old, $document))->toBe([]);
});

it('takes a row out with all that speaks of it', function () {
    $document = CodebookDocument::standard();
    $left = DocumentParts::without($document, 'faults', 'late-recentre');
    expect($left->under('loaded-top')->faults)->not->toHaveKey('late-recentre')
        ->and(json_encode($left->toArray()['lenses']))->not->toContain('"late-recentre"')
        ->and(json_encode($left->toArray()['cues']))->not->toContain('"late-recentre"');
    $left = DocumentParts::without($document, 'drills', 'step-in');
    expect(json_encode($left->toArray()['faults']))->not->toContain('"step-in"')->and(defects($left))->toBe([]);
    $left = DocumentParts::without($document, 'lenses', 'quiet-centre');
    expect($left->lenses())->toHaveCount(2)->and(json_encode($left->toArray()))->not->toContain('"quiet-centre"')
        ->and(defects($left))->toBe([]);
    expect(fn () => DocumentParts::without($document, 'lenses', 'early-recentre'))->toThrow(CodebookException::class);
    foreach (array_keys($document->toArray()['faults']) as $fault) {
        expect(defects(DocumentParts::without($document, 'faults', $fault)))->toBe([], $fault);
    }
});

it('puts a row back as it was, with its rules under every lens', function () {
    $was = CodebookDocument::standard();
    foreach (['jump-off-trail', 'late-push', 'no-load', 'sway', 'lead-leg-leave'] as $fault) {
        $rules = FaultRules::of($was, $fault);
        $is = FaultRules::put($was, $fault, ['own' => $rules['own']])->with('faults', $fault, [
            ...$was->toArray()['faults'][$fault], 'cause' => 'another',
        ]);
        expect(DocumentChanges::between($was, $is))->not->toBe([])
            ->and(DocumentChanges::between($was, DocumentParts::back($is, $was, 'faults', $fault)))->toBe([], $fault);
    }
    $is = DocumentParts::without($was, 'drills', 'rocker')->with('words', 'mine', ['word' => 'w', 'means' => 'm']);
    $is = DocumentParts::back(DocumentParts::back($is, $was, 'drills', 'rocker'), $was, 'words', 'mine');
    // Which faults it helped went with it.
    expect(array_map(static fn (DocumentChange $c): string => $c->part, DocumentChanges::between($was, $is)))
        ->each->toBe('faults');
});
