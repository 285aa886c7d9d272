<?php

use Core\Agreement\Figure;
use Core\Agreement\RatingSet;
use Core\Agreement\Study;
use Core\Agreement\StudyOptions;
use Core\CoreException;

function undefinedBlock(RatingSet $set, array $options = []): array
{
    return (new Study($set, new StudyOptions(...['bootstrap' => 0, ...$options])))->block($set->items());
}

it('is undefined, with the reason, where only one category occurs', function () {
    $c = undefinedBlock(ratings(['a' => 'p p p', 'b' => 'p p p']))['coefficients'];
    expect($c['percent_agreement']['estimate'])->toBe(1.0);
    foreach (['fleiss_kappa', 'gwet_ac1', 'brennan_prediger', 'krippendorff_alpha', 'conger_kappa'] as $name) {
        expect($c[$name]['estimate'])->toBeNull()->and($c[$name]['reason'])->toContain('only one category');
    }
});

it('makes AC1 and Brennan–Prediger 1 there when the other category was declared', function () {
    $c = undefinedBlock(ratings(['a' => 'p p p', 'b' => 'p p p']), ['categories' => ['a', 'p']])['coefficients'];
    expect($c['gwet_ac1']['estimate'])->toBe(1.0)->and($c['brennan_prediger']['estimate'])->toBe(1.0)
        ->and($c['fleiss_kappa']['reason'])->toContain('every rating is the same')->and($c['krippendorff_alpha']['estimate'])->toBeNull();
});

it('is undefined with fewer than two ratings on every case', function () {
    $c = undefinedBlock(ratings(['a' => 'p . a', 'b' => '. p .']))['coefficients'];
    foreach ($c as $name => $f) {
        expect($f['estimate'])->toBeNull();
        if (! in_array($name, ['light_kappa', 'conger_kappa'], true)) {
            expect($f['reason'])->toBe('fewer than two ratings on every case');
        }
    }
});

it('gives a pair without common cases or with one category no kappa', function () {
    $pairs = undefinedBlock(ratings(['a' => 'p p . .', 'b' => '. . p a', 'c' => 'p p p a']))['pairs'];
    expect($pairs[0]['n'])->toBe(0)->and($pairs[0]['percent_agreement'])->toBeNull()->and($pairs[0]['cohen_kappa']['reason'])->toBe('fewer than two cases rated by both')
        ->and($pairs[0]['pabak']['estimate'])->toBeNull()
        ->and($pairs[1]['cohen_kappa']['reason'])->toContain('one and the same category')
        ->and($pairs[2]['cohen_kappa']['estimate'])->toBe(1.0)
        ->and(array_map(static fn ($p) => $p['a'].$p['b'], $pairs))->toBe(['ab', 'ac', 'bc']);
});

it('has a point but no interval from a single case', function () {
    $f = undefinedBlock(ratings(['a' => 'p', 'b' => 'a', 'c' => 'p']))['coefficients']['percent_agreement'];
    expect($f['estimate'])->toEqualWithDelta(1 / 3, 1e-12)->and($f['se'])->toBeNull()->and($f['low'])->toBeNull();
});

it('never lets NAN or infinity into its result', function () {
    foreach ([['a' => 'p', 'b' => 'p'], ['a' => 'p a', 'b' => 'a p'], ['a' => 'p . a', 'b' => 'p a .', 'c' => 'a a a']] as $rows) {
        $set = ratings($rows);
        $set->addKey('c000', '', 'p');
        expect(json_encode((new Study($set, new StudyOptions(positive: 'p', bootstrap: 50)))->result(), JSON_THROW_ON_ERROR))->toBeString();
    }
});

it('counts as thin what rests on few cases or has a wide interval', function () {
    expect(Figure::of(0.5, 0.1, 0.3, 0.7, '')->isThin(12))->toBeFalse()->and(Figure::of(0.5, 0.1, 0.3, 0.7, '')->isThin(9))->toBeTrue()
        ->and(Figure::of(0.5, 0.2, 0.1, 0.9, '')->isThin(50))->toBeTrue()->and(Figure::undefined('x')->isThin(50))->toBeTrue();
});

it('takes "cannot tell" as missing in the main figures and as a category beside them', function () {
    $set = ratings(['a' => 'p a ? a p a', 'b' => 'p a ? p p ?', 'c' => 'p a a a ? a']);
    $block = undefinedBlock($set, ['cannotTell' => '?']);
    expect($block['categories'])->toBe(['a', 'p'])->and($block['ratings'])->toBe(14)
        ->and($block['three_way']['categories'])->toBe(['?', 'a', 'p'])
        ->and($block['three_way']['coefficients']['percent_agreement']['estimate'])->toBeLessThan($block['coefficients']['percent_agreement']['estimate'])
        ->and(undefinedBlock($set)['categories'])->toBe(['?', 'a', 'p']);
});

it('uses the first occasion for everything but agreement with oneself', function () {
    $set = new RatingSet;
    foreach (['p', 'a', 'p', 'a'] as $i => $v) {
        $set->add("c$i", '', 'x', $v, '2');
        $set->add("c$i", '', 'x', 'p', '10');
        $set->add("c$i", '', 'y', $v);
    }
    $block = undefinedBlock($set);
    expect($block['coefficients']['percent_agreement']['estimate'])->toBe(1.0)
        ->and($block['self'])->toHaveCount(1)->and($block['self'][0]['rater'])->toBe('x')->and($block['self'][0]['percent_agreement'])->toBe(0.5)->and($block['self'][0]['cohen_kappa']['estimate'])->toBe(0.0);
});

it('refuses a second rating on the same occasion and a value outside the declared ones', function () {
    $set = ratings(['a' => 'p a']);
    expect(fn () => $set->add('c000', '', 'a', 'p'))->toThrow(CoreException::class, "rater 'a' has already rated case 'c000'")
        ->and(fn () => undefinedBlock($set, ['categories' => ['p']]))->toThrow(CoreException::class, "the value 'a' of case 'c001' is not among --categories")
        ->and(fn () => new StudyOptions(confidence: 1.0))->toThrow(CoreException::class)
        ->and(Study::declared('p, a,p'))->toBe(['a', 'p']);
});
