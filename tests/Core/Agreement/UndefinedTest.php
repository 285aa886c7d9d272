<?php

use Core\Agreement\Figure;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Undefined;
use Core\CoreException;

function undefinedBlock(RatingSet $set, array $options = []): array
{
    return published((new Study($set, new StudyOptions(...['bootstrap' => 0, ...$options])))->item($set->items()));
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
    expect($c['gwet_ac1']['estimate'])
        ->toBe(1.0)
        ->and($c['brennan_prediger']['estimate'])
        ->toBe(1.0)
        ->and($c['fleiss_kappa']['reason'])
        ->toContain('every rating is the same')
        ->and($c['krippendorff_alpha']['estimate'])
        ->toBeNull();
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
    expect($pairs[0]['n'])
        ->toBe(0)
        ->and($pairs[0]['percent_agreement'])
        ->toBeNull()
        ->and($pairs[0]['cohen_kappa']['reason'])
        ->toBe('fewer than two cases rated by both')
        ->and($pairs[0]['pabak']['estimate'])
        ->toBeNull()
        ->and($pairs[1]['cohen_kappa']['reason'])
        ->toContain('one and the same category')
        ->and($pairs[2]['cohen_kappa']['estimate'])
        ->toBe(1.0)
        ->and(array_map(static fn ($p) => $p['a'].$p['b'], $pairs))
        ->toBe(['ab', 'ac', 'bc']);
});

it('has a point but no interval from a single case', function () {
    $f = undefinedBlock(ratings(['a' => 'p', 'b' => 'a', 'c' => 'p']))['coefficients']['percent_agreement'];
    expect($f['estimate'])->toEqualWithDelta(1 / 3, 1e-12)->and($f['se'])->toBeNull()->and($f['low'])->toBeNull();
});

it('never lets NAN or infinity into its result', function () {
    foreach (
        [['a' => 'p', 'b' => 'p'], ['a' => 'p a', 'b' => 'a p'], ['a' => 'p . a', 'b' => 'p a .', 'c' => 'a a a']] as $rows
    ) {
        $set = ratings($rows);
        $set->addKey('c000', '', 'p');
        expect(
            json_encode(
                published((new Study($set, new StudyOptions(positive: 'p', bootstrap: 50)))->result()),
                JSON_THROW_ON_ERROR,
            ),
        )->toBeString();
    }
});

it('counts as thin what rests on few cases or has a wide interval', function () {
    expect(Figure::estimated(0.5, 0.1, 0.3, 0.7, '')->isThin(12))
        ->toBeFalse()
        ->and(Figure::estimated(0.5, 0.1, 0.3, 0.7, '')->isThin(9))
        ->toBeTrue()
        ->and(Figure::estimated(0.5, 0.2, 0.1, 0.9, '')->isThin(50))
        ->toBeTrue()
        ->and(Figure::undefined(Undefined::NoPairs)->isThin(50))
        ->toBeTrue();
});

it('takes "cannot tell" as missing in the main figures and as a category beside them', function () {
    $set = ratings(['a' => 'p a ? a p a', 'b' => 'p a ? p p ?', 'c' => 'p a a a ? a']);
    $block = undefinedBlock($set, ['cannotTell' => '?']);
    expect($block['categories'])
        ->toBe(['a', 'p'])
        ->and($block['ratings'])
        ->toBe(14)
        ->and($block['three_way']['categories'])
        ->toBe(['?', 'a', 'p'])
        ->and($block['three_way']['coefficients']['percent_agreement']['estimate'])
        ->toBeLessThan($block['coefficients']['percent_agreement']['estimate'])
        ->and(undefinedBlock($set)['categories'])
        ->toBe(['?', 'a', 'p']);
});

it('uses the first occasion for everything but agreement with oneself', function () {
    $set = new RatingSet;
    foreach (['p', 'a', 'p', 'a'] as $i => $v) {
        $set->add("c$i", '', 'x', $v, '2');
        $set->add("c$i", '', 'x', 'p', '10');
        $set->add("c$i", '', 'y', $v);
    }
    $block = undefinedBlock($set);
    expect($block['coefficients']['percent_agreement']['estimate'])
        ->toBe(1.0)
        ->and($block['self'])
        ->toHaveCount(1)
        ->and($block['self'][0]['rater'])
        ->toBe('x')
        ->and($block['self'][0]['percent_agreement']['estimate'])
        ->toBe(0.5)
        ->and($block['self'][0]['cohen_kappa']['estimate'])
        ->toBe(0.0);
});

it('refuses a second rating on the same occasion and a value outside the declared ones', function () {
    $set = ratings(['a' => 'p a']);
    expect(fn () => $set->add('c000', '', 'a', 'p'))
        ->toRefuse("rater 'a' has already rated case 'c000'")
        ->and(fn () => undefinedBlock($set, ['categories' => ['p']]))
        ->toRefuse("the value 'a' of case 'c001' is not among the categories")
        ->and(fn () => new StudyOptions(confidence: 1.0))
        ->toThrow(CoreException::class)
        ->and(Study::declared('p, a,p'))
        ->toBe(['a', 'p']);
});

it('means the defined pairs for Light, counts the others, and has none where no pair has a kappa', function () {
    $some = undefinedBlock(ratings(['a' => 'p p a a', 'b' => 'p a a a', 'c' => 'p p p p', 'd' => '. . . p']));
    $defined = array_filter(
        array_map(static fn (array $p): ?float => $p['cohen_kappa']['estimate'], $some['pairs']),
        is_float(...),
    );
    expect($some['undefined_pairs'])
        ->toBe(6 - count($defined))
        ->toBeGreaterThan(0)
        ->and($some['coefficients']['light_kappa']['estimate'])
        ->toEqualWithDelta(array_sum($defined) / count($defined), 1e-12);
    $none = undefinedBlock(ratings(['a' => 'p p', 'b' => 'p p']));
    expect($none['coefficients']['light_kappa']['reason'])
        ->toBe('no pair of raters has a defined kappa')
        ->and($none['undefined_pairs'])
        ->toBe(1)
        ->and($none['raters_vs_rest'][0]['mean_kappa']['reason'])
        ->toBe('no pair with this rater has a defined kappa')
        ->and(undefinedBlock(ratings(['a' => 'p . a', 'b' => '. p .']))['coefficients']['light_kappa']['reason'])
        ->toBe('fewer than two ratings on every case');
});

it('gives every figure on numbers null with a reason where there is nothing to compute it from', function (
    string $scale,
    array $rows,
) {
    $set = new RatingSet(Core\Agreement\Scale::from($scale));
    foreach ($rows as $rater => $row) {
        foreach (explode(' ', $row) as $i => $v) {
            $set->add("c$i", '', (string) $rater, $v === '.' ? '' : $v);
        }
    }
    $block = undefinedBlock($set);
    foreach ($block['coefficients'] as $figure) {
        expect($figure['estimate'] === null ? $figure['reason'] !== '' : is_finite($figure['estimate']))->toBeTrue();
    }
    expect($block['coefficients']['krippendorff_alpha']['estimate'])
        ->toBeNull()
        ->and(json_encode($block, JSON_THROW_ON_ERROR))
        ->toBeString();
})
    ->with(['ordinal', 'interval', 'ratio'])
    ->with([
        'all the same' => [['a' => '3 3 3', 'b' => '3 3 3']],
        'never two' => [['a' => '1 . 2', 'b' => '. 2 .']],
        'one case, the same' => [['a' => '2', 'b' => '2']],
        'all zero' => [['a' => '0 0', 'b' => '0 0']],
    ]);

it('compares zeros on a ratio scale', function () {
    $set = new RatingSet(Core\Agreement\Scale::Ratio);
    foreach (['a' => '0 0 5 4', 'b' => '0 1 5 5'] as $rater => $row) {
        foreach (explode(' ', $row) as $i => $v) {
            $set->add("c$i", '', $rater, $v);
        }
    }
    // 0 against 1 differs wholly, 0 against 0 not at all.
    expect(undefinedBlock($set)['coefficients']['krippendorff_alpha']['estimate'])
        ->toBeGreaterThan(0.3)
        ->toBeLessThan(0.9);
});

it('has no interval of zero width where raters never differ on a category, or always do', function (int $bootstrap) {
    $specific = static fn (array $rows): array => (array) undefinedBlock(ratings($rows), ['bootstrap' => $bootstrap])[
        'specific_agreement'
    ];
    $same = $specific(['a' => 'p p a a p a p a', 'b' => 'p p a a p a p a']);
    expect($same['p']['estimate'])
        ->toBe(1.0)
        ->and($same['p']['low'])
        ->toBeLessThan(0.9)
        ->and($same['p']['method'])
        ->toBe('perfect-agreement bound');
    $never = $specific(['a' => 'p a a a a a a x', 'b' => 'a a a a a a x a']);
    expect($never['p']['estimate'])
        ->toBe(0.0)
        ->and($never['p']['high'])
        ->toBeGreaterThan(0.1)
        ->and($never['x']['low'])
        ->toBe(0.0);
})->with([0, 200]);

it('keeps "cannot tell" apart from ranks, and makes names of all for the three-way figures', function () {
    $set = new RatingSet(Core\Agreement\Scale::Ordinal, '?');
    foreach (['a' => '1 2 3 ? 2 3.0', 'b' => '1 2 ? ? 3 3'] as $rater => $row) {
        foreach (explode(' ', $row) as $i => $v) {
            $set->add("c$i", '', $rater, $v);
        }
    }
    $block = undefinedBlock($set, ['cannotTell' => '?']);
    expect($block['categories'])
        ->toBe(['1', '2', '3'])
        ->and($block['ratings'])
        ->toBe(9)
        ->and($block['coefficients'])
        ->toHaveKey('gwet_ac2')
        ->and($block['three_way']['categories'])
        ->toBe(['1', '2', '3', '?'])
        ->and($block['three_way']['coefficients'])
        ->toHaveKey('gwet_ac1')
        ->and($block['three_way']['coefficients']['percent_agreement']['estimate'])
        ->toEqualWithDelta(4 / 6, 1e-12)
        ->and(fn () => (new RatingSet(Core\Agreement\Scale::Ordinal))->add('c', '', 'a', '?'))
        ->toRefuse("'?' is no decimal number");
});

it('weighs agreement with oneself over the categories of the item, not only those one used', function () {
    $set = new RatingSet(Core\Agreement\Scale::Ordinal);
    foreach (['1 1', '1 2', '2 2', '2 1', '1 1', '2 2'] as $i => $pair) {
        [$one, $two] = explode(' ', $pair);
        $set->add("c$i", '', 'a', $one, '1');
        $set->add("c$i", '', 'a', $two, '2');
        $set->add("c$i", '', 'b', (string) (1 + $i % 5));
    }
    $kappa = (new Core\Agreement\Coefficient\CohenKappa(
        [2, 1, 0, 0, 0, 1, 2, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0],
        new Core\Agreement\Confidence(),
        Core\Agreement\Weights::linear([1.0, 2.0, 3.0, 4.0, 5.0]),
    ))->kappa();
    expect(undefinedBlock($set, ['weights' => 'linear'])['self'][0]['cohen_kappa']['estimate'])->toEqualWithDelta(
        $kappa->estimate,
        1e-12,
    );
});
