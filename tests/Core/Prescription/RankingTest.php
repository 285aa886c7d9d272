<?php

declare(strict_types=1);

use Core\Codebook\Codebook;
use Core\Codebook\Limit;
use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSeverity;
use Core\Codebook\LimitSide;
use Core\Codebook\StandardLenses;
use Core\Prescription\Level;
use Core\Prescription\PrescriptionException;
use Core\Prescription\RankedDrill;
use Core\Prescription\Ranking;
use Core\Prescription\Reason;
use Core\Prescription\ReasonCode;
use Core\Prescription\Situation;
use Core\Reading\Decision;

function rankedFor(Situation $of, string $lens = StandardLenses::DEFAULT): array
{
    $out = [];
    foreach (Ranking::of(Codebook::standard($lens), $of) as $ranked) {
        $out[$ranked->drill->key] = $ranked;
    }

    return $out;
}

/** @return list<Limit> every limit that can be coded */
function everyLimit(): array
{
    $out = [];
    foreach (LimitRegion::cases() as $region) {
        foreach ($region->hasSides() ? LimitSide::cases() : [null] as $side) {
            foreach (LimitSeverity::cases() as $severity) {
                $out[] = new Limit($region, $severity, $side);
            }
        }
    }

    return $out;
}

it('leaves no drill out, and puts what is for the first cause first', function () {
    foreach (array_keys(StandardLenses::rows()) as $lens) {
        $book = Codebook::standard($lens);
        foreach ($book->faults as $key => $fault) {
            $ranked = rankedFor(new Situation([$key => Decision::Now], [$key]), $lens);
            expect($ranked)->toHaveCount(count($book->drills()));
            $helps = array_values(array_intersect($fault->helps, array_keys($book->drills())));
            expect(array_slice(array_keys($ranked), 0, count($helps)))->toEqualCanonicalizing($helps);
            foreach ($ranked as $drill => $of) {
                expect($of->has(ReasonCode::FirstCause))->toBe(in_array($drill, $helps, true))
                    ->and($of->has(ReasonCode::Worsens))->toBe(in_array($drill, $fault->harms, true))
                    ->and($of->has(ReasonCode::HarmList))->toBe($of->drill->harms);
            }
        }
    }
});

it('flags a drill for a limit exactly where the drill lists it, under every lens', function () {
    foreach (array_keys(StandardLenses::rows()) as $lens) {
        foreach (everyLimit() as $limit) {
            foreach (rankedFor(new Situation([], [], [$limit]), $lens) as $ranked) {
                $listed = false;
                foreach ($ranked->drill->plan->loads ?? [] as [$region, $side]) {
                    // Either side of both is meant; a side alone is that side.
                    $sides = static fn (?LimitSide $s): array => match ($s) {
                        null, LimitSide::Both => ['lead', 'trail'],
                        default => [$s->value],
                    };
                    $listed = $listed || ($region === $limit->region
                        && array_intersect($sides($side), $sides($limit->side)) !== []);
                }
                expect($ranked->has(ReasonCode::Limit))->toBe($listed, "{$ranked->drill->key} {$limit->key()}");
                expect(in_array(ReasonCode::Limit, array_column($ranked->against(), 'code'), true))->toBe($listed);
            }
        }
    }
});

it('ranks the graver limit behind the slighter, and what is alike by name', function () {
    $of = static fn (LimitSeverity $severity): Situation => new Situation(
        ['late-recentre' => Decision::Now],
        ['late-recentre'],
        [new Limit(LimitRegion::Shoulder, $severity, LimitSide::Lead)],
    );
    $without = array_keys(rankedFor(new Situation(['late-recentre' => Decision::Now], ['late-recentre'])));
    $helps = Codebook::standard()->faults['late-recentre']->helps;
    expect(in_array('wall-bump', $helps, true))->toBeTrue();
    foreach (LimitSeverity::cases() as $severity) {
        $ranked = array_keys(rankedFor($of($severity)));
        // For the first cause still, and the last of those.
        expect(array_search('wall-bump', $ranked, true))->toBe(count($helps) - 1);
    }
    $names = array_map(
        fn (string $key): string => Codebook::standard()->drills()[$key]->name,
        array_slice($without, 0, count($helps)),
    );
    $sorted = $names;
    sort($sorted);
    expect($names)->toBe($sorted);
});

it('says of a lens that refuses a drill why, and asks whoever chooses it all the same', function () {
    $ranked = rankedFor(new Situation(['hang-back' => Decision::Now], ['hang-back']), 'quiet-centre');
    expect($ranked['step-in']->has(ReasonCode::LensRefuses))->toBeTrue();
    $says = array_values(array_filter(
        $ranked['step-in']->against(),
        fn (Reason $r): bool => $r->code === ReasonCode::LensRefuses,
    ))[0]->says;
    expect($says)->toBe('it asks for a shift that this school does not want');
    expect(rankedFor(new Situation(['hang-back' => Decision::Now], ['hang-back']))['step-in']->against())->toBe([]);
});

it('says that no drill for the feet mends what lies outside them', function () {
    $ranked = rankedFor(new Situation(['hang-back' => Decision::Later], ['outside-path']));
    foreach ($ranked as $of) {
        expect($of->has(ReasonCode::OutsideCause))->toBeTrue();
    }
    $both = rankedFor(new Situation(['hang-back' => Decision::Now], ['outside-path', 'hang-back']));
    expect($both['step-in']->has(ReasonCode::OutsideCause))->toBeFalse();
});

it('asks of a beginner what begins plain, of a skilled player what goes far', function () {
    $of = fn (?Level $level): array => rankedFor(new Situation(['slide' => Decision::Now], ['slide'], [], $level));
    $codes = fn (RankedDrill $d): array => array_column($d->reasons, 'code');
    expect($codes($of(Level::New)['short-finish']))->toContain(ReasonCode::BeginsHigh)
        ->and($codes($of(Level::New)['open-set']))->toContain(ReasonCode::BeginsPlain)
        ->and($codes($of(Level::Skilled)['short-finish']))->toContain(ReasonCode::EndsShort)
        ->and($codes($of(Level::Steady)['open-set']))->toContain(ReasonCode::GoesFar);
    foreach ([ReasonCode::BeginsPlain, ReasonCode::BeginsHigh, ReasonCode::GoesFar, ReasonCode::EndsShort] as $code) {
        expect($codes($of(null)['short-finish']))->not->toContain($code);
        expect($code->asksWhy())->toBeFalse();
    }
});

it('knows no first cause that nobody saw', function () {
    new Situation(['slide' => Decision::Now], ['hang-back']);
})->throws(PrescriptionException::class);
