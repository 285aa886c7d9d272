<?php

use Core\Agreement\Study\AdviceResult;
use Core\Agreement\Study\AdviceStudy;
use Core\Agreement\Study\AdvisedCase;
use Core\Chance\Chance;
use Core\Consensus\Appropriateness;
use Core\Consensus\CaseConsensus;
use Core\Consensus\DrillConsensus;
use Core\Consensus\DrillScore;
use Core\Consensus\Harm;
use Core\Format\Json\AdviceJson;
use Core\Reading\BallFlight;
use Core\Reading\Call;
use Core\Reading\Chain;
use Core\Reading\Decision;
use Core\Reading\Misses;
use Core\Reading\Outside;
use Core\Reading\Presence;
use Core\Reading\Reading;
use Core\Reading\Severity;
use Core\Reading\Stop;
use Symfony\Component\Process\Process;

/** Faults and causes that sheets are drawn from; few, so that readers often say the same. */
const ADVISED = ['sway', 'slide', 'hang-back', 'spin-out'];

const ADVISED_NOTHING = ['present' => [], 'causes' => [], 'chain' => [], 'misses' => [], 'drill' => null];

const ADVISED_DRILLS = ['box-turn', 'step-in', 'slider-push'];

const ADVISED_OUTSIDE = ['outside-grip', 'outside-fear', 'outside-cold'];

/**
 * A sheet as plain data: what is present and what to do with it, first causes, links, misses.
 *
 * @return array{present: array<string, string>, causes: list<string>, chain: list<array{string, string}>,
 *     misses: array<string, int>, drill: array{string, string}|null}
 */
function randomSheet(Chance $c, array $true, float $noise): array
{
    $sheet = $true;
    if ($c->uniform() < $noise) {
        $present = array_slice($c->shuffled(ADVISED), 0, $c->between(0, 3));
        $sheet['present'] = [];
        foreach ($present as $fault) {
            $sheet['present'][$fault] = ['now', 'later', 'leave'][$c->between(0, 2)];
        }
        $may = [...$present, ...ADVISED_OUTSIDE];
        $sheet['causes'] = array_slice($c->shuffled($may), 0, $c->between(0, 3));
        $sheet['chain'] = isset($present[0]) && $c->uniform() < 0.6
            ? [[ADVISED_OUTSIDE[$c->between(0, 2)], $present[0]]]
            : [];
        $sheet['misses'] = $c->uniform() < 0.3 ? [] : [
            'fat' => 10 * $c->between(1, 5), 'slice' => 10 * $c->between(1, 5),
        ];
        $sheet['drill'] = $c->uniform() < 0.2 ? null : [
            ADVISED_DRILLS[$c->between(0, 2)], Stop::cases()[$c->between(0, 3)]->value,
        ];
    }

    return $sheet;
}

/** @param  array<string, mixed>  $s  as randomSheet() gives it */
function sheetOf(array $s): Reading
{
    $calls = [];
    foreach ($s['present'] as $fault => $decision) {
        $calls[$fault] = new Call($fault, Presence::Present, Severity::Clear, decision: Decision::from($decision));
    }

    return (new Reading($calls, $s['causes'], chain: new Chain($s['chain']), misses: new Misses($s['misses'])))->with([
        'drill' => $s['drill'][0] ?? null,
        'stop' => isset($s['drill']) ? Stop::from($s['drill'][1]) : null,
    ]);
}

/**
 * What members say drills would do: some alike, some apart, some few, and on some rungs nobody.
 *
 * @return list<array{drill: string, rung: string, scores: list<array{int, ?string}>, refused: bool}>
 */
function randomScores(Chance $c): array
{
    $out = [];
    foreach (ADVISED_DRILLS as $drill) {
        $refused = $c->uniform() < 0.15;
        foreach (Stop::cases() as $rung) {
            $middle = $c->between(1, 9);
            $scores = [];
            for ($m = 0, $n = [0, 3, 5, 6, 9][$c->between(0, 4)]; $m < $n; $m++) {
                $score = max(1, min(9, $middle + $c->between(-2, 2)));
                $harm = $c->uniform() < 0.8 ? 'adds-fault' : 'unsafe';
                $scores[] = [$score, $score <= 3 ? $harm : null];
            }
            $out[] = ['drill' => $drill, 'rung' => $rung->value, 'scores' => $scores, 'refused' => $refused];
        }
    }

    return $out;
}

/** @return array<string, array<string, DrillConsensus>> */
function judgedOf(array $plain): array
{
    $out = [];
    foreach ($plain as $row) {
        $out[$row['drill']][$row['rung']] = DrillConsensus::of(array_map(
            static fn (array $s): DrillScore => new DrillScore($s[0], $s[1] === null ? null : Harm::from($s[1])),
            $row['scores'],
        ), $row['refused']);
    }

    return $out;
}

/** @return array{array<string, mixed>, list<AdvisedCase>} the same as plain data and as the study takes it */
function advisedRound(string $seed): array
{
    $c = new Chance($seed);
    [$golfers, $readers, $noise] = [$c->between(2, 9), $c->between(1, 6), [0.1, 0.5, 0.9][$c->between(0, 2)]];
    $plain = $cases = [];
    for ($i = 0, $n = $c->between(2, 14); $i < $n; $i++) {
        $true = randomSheet($c, ADVISED_NOTHING, 1.0);
        $said = $panel = [];
        for ($r = 0; $r < $readers; $r++) {
            $sheet = randomSheet($c, $true, $noise);
            // Not everybody has read everything.
            if ($c->uniform() < 0.85) {
                $said["r$r"] = $sheet;
            }
        }
        for ($m = 0, $size = $c->between(2, 5); $m < $size; $m++) {
            $panel["p$m"] = randomSheet($c, $true, $noise / 2);
        }
        $labels = [];
        foreach (ADVISED as $fault) {
            $draw = $c->uniform();
            $labels += $draw < 0.5 ? [$fault => 'present'] : ($draw < 0.8 ? [$fault => 'absent'] : []);
        }
        $flights = [[], [[]], [['fat']], [['fat', 'slice'], []], [['thin'], ['fat']]][$c->between(0, 4)];
        $golfer = 'g'.$c->between(1, $golfers);
        $scores = randomScores($c);
        $plain[] = ['golfer' => $golfer, 'scores' => $scores, 'readers' => (object) $said, 'panel' => $panel, 'labels' => (object) $labels,
            'flights' => $flights];
        $key = CaseConsensus::fromReadings(array_values(array_map(sheetOf(...), $panel)));
        $cases[] = new AdvisedCase("c$i", $golfer, array_map(sheetOf(...), $said), $key->judged(judgedOf($scores)),
            $flights, $labels);
    }

    return [['cases' => $plain], $cases];
}

it('agrees to 1e-9 with what numpy makes of the same sheets from the formulas alone', function () {
    $folder = sys_get_temp_dir().'/advice-'.bin2hex(random_bytes(6));
    mkdir($folder);
    $same = 0;
    for ($i = 0; $i < many(12, 200); $i++) {
        [$plain, $cases] = advisedRound("advice $i");
        $plain['cases'] = array_map(static fn (array $case): array => [
            ...$case,
            'readers' => (object) array_map(plainSheet(...), (array) $case['readers']),
            'panel' => (object) array_map(plainSheet(...), $case['panel']),
        ], $plain['cases']);
        file_put_contents("$folder/in.json", json_encode($plain));
        $result = AdviceJson::write((new AdviceStudy($cases))->result());
        file_put_contents("$folder/out.json", json_encode($result, JSON_PRESERVE_ZERO_FRACTION));
        // Debian's own, which has Debian's numpy.
        $python = new Process(['/usr/bin/python3', base_path('tests/independent/advice.py'), "$folder/in.json",
            "$folder/out.json"]);
        $python->run();
        $found = json_decode($python->getOutput(), true);
        expect($found['wrong'] ?? [$python->getErrorOutput()])->toBe([], "round $i");
        $same += $found['same'];
    }
    array_map(unlink(...), glob("$folder/*") ?: []);
    rmdir($folder);
    expect($same)->toBeGreaterThan(many(400, 8_000));
})->group('study');

/** Objects stay objects where they are empty. */
function plainSheet(array $sheet): array
{
    return [...$sheet, 'present' => (object) $sheet['present'], 'misses' => (object) $sheet['misses']];
}

it('is kept and read back as it is', function () {
    for ($i = 0; $i < 5; $i++) {
        $result = (new AdviceStudy(advisedRound("kept $i")[1]))->result();
        $row = json_decode(json_encode(AdviceJson::write($result), JSON_PRESERVE_ZERO_FRACTION), true);
        expect(AdviceJson::read($row))->toEqual($result);
    }
    expect(fn () => AdviceJson::read(['cases' => 1]))->toRefuse('settled');
});

it('never lets two different causes outside the feet agree, nor counts what the key leaves open', function () {
    $sheet = static fn (array $causes, string $other = ''): Reading => new Reading([], $causes, otherCause: $other);
    $case = static fn (array $said, array $panel): AdvisedCase => new AdvisedCase('c', 'g', $said,
        CaseConsensus::fromReadings($panel), []);
    [$grip, $fear] = [Outside::Grip->value, Outside::Fear->value];
    $result = (new AdviceStudy([
        $case(['a' => $sheet([$grip]), 'b' => $sheet([$fear])], array_fill(0, 4, $sheet([$grip]))),
    ]))->result();
    expect($result->among['overlap']->estimate)->toBe(0.0)
        ->and($result->beside[0]->figures['causes']->estimate)->toBe(1.0)
        ->and($result->beside[1]->figures['causes']->estimate)->toBe(0.0)
        ->and($result->settled['causes'])->toBe(1);
    // Something else in other words is something else.
    $other = Outside::Other->value;
    $words = (new AdviceStudy([
        $case(['a' => $sheet([$other], 'rain'), 'b' => $sheet([$other], 'a sore hand')], []),
    ]))->result();
    expect($words->among['overlap']->estimate)->toBe(0.0);
    $open = (new AdviceStudy([
        $case(['a' => $sheet([$grip])], [$sheet([$grip]), $sheet([$fear]), $sheet([]), $sheet([$grip])]),
    ]))->result();
    expect($open->settled['causes'])->toBe(0)
        ->and($open->beside[0]->figures['causes']->estimate)->toBeNull();
});

it('holds nobody who helped to make the key against it, and the ball against everybody', function () {
    [, $cases] = advisedRound('advice 3');
    $all = (new AdviceStudy($cases))->result();
    $without = (new AdviceStudy($cases, [$all->beside[0]->rater]))->result();
    foreach (array_diff(AdviceResult::FIGURES, ['miss']) as $name) {
        expect($without->beside[0]->figures[$name]->estimate)->toBeNull();
    }
    expect($without->beside[0]->figures['miss'])->toEqual($all->beside[0]->figures['miss'])
        ->and(array_slice($without->beside, 1))->toEqual(array_slice($all->beside, 1))
        ->and($without->among)->toEqual($all->among);
});

it('counts a drill as unsafe wherever it is so on a lower rung, and says nothing of what too few judged', function () {
    $high = array_map(static fn (int $v): DrillScore => new DrillScore($v), [7, 8, 8, 9, 9]);
    $key = CaseConsensus::fromReadings([])->judged(['box-turn' => [
        'rehearsal' => DrillConsensus::of([new DrillScore(2, Harm::Unsafe), new DrillScore(1, Harm::Unsafe)]),
        'full-speed' => DrillConsensus::of($high),
    ], 'step-in' => [
        'short-iron' => DrillConsensus::of($high),
        'longer-clubs' => DrillConsensus::of(array_slice($high, 1)),
    ]]);
    expect($key->appropriateness('box-turn', Stop::FullSpeed))->toBe(Appropriateness::Unsafe)
        ->and($key->appropriateness('step-in', Stop::ShortIron))->toBe(Appropriateness::Helps)
        ->and($key->appropriateness('step-in', Stop::LongerClubs))->toBeNull()
        ->and($key->appropriateness('step-in', Stop::Rehearsal))->toBeNull()
        ->and($key->appropriateness('no-such', Stop::Rehearsal))->toBeNull();
    $sheet = static fn (?string $drill, Stop $stop): Reading => (new Reading([]))->with([
        'drill' => $drill, 'stop' => $drill === null ? null : $stop,
    ]);
    $result = (new AdviceStudy([new AdvisedCase('c', 'g', [
        'a' => $sheet('box-turn', Stop::LongerClubs), 'b' => $sheet('step-in', Stop::ShortIron),
        'c' => $sheet('step-in', Stop::FullSpeed), 'd' => $sheet(null, Stop::FullSpeed),
    ], $key, [])]))->result();
    $of = static fn (int $i): array => array_map(
        static fn (string $w): ?float => $result->beside[$i]->figures[$w]->estimate, ['helps', 'harms', 'unsafe'],
    );
    expect([$of(0), $of(1), $of(2), $of(3)])->toBe([
        [0.0, 0.0, 1.0], [1.0, 0.0, 0.0], [null, null, null], [null, null, null],
    ])->and($result->settled['drill'])->toBe(3);
});

it('scores a forecast as it should: nothing said of a good ball is best, a sure wrong one worst', function () {
    expect(AdviceStudy::brier(new Misses, [[]]))->toBe(0.0)
        ->and(AdviceStudy::brier(new Misses(['fat' => 100]), [[]]))->toBe(2.0)
        ->and(AdviceStudy::brier(new Misses(['fat' => 100]), [['fat']]))->toBe(0.0)
        ->and(AdviceStudy::brier(new Misses(['fat' => 50]), [['fat'], []]))->toBe(0.0)
        ->and(AdviceStudy::brier(new Misses(['fat' => 50, 'slice' => 50]), [['fat', 'slice']]))->toBe(0.0)
        ->and(AdviceStudy::brier(new Misses(['fat' => 40]), [['fat']]))->toEqualWithDelta(0.6 ** 2 + 0.6 ** 2, 1e-12);
    // Stating what is so costs least on average, whatever is so.
    foreach ([10, 30, 60, 90] as $true) {
        $cost = static function (int $said) use ($true): float {
            $misses = new Misses(['fat' => $said]);

            return $true / 100 * AdviceStudy::brier($misses, [['fat']]) +
                (1 - $true / 100) * AdviceStudy::brier($misses, [[]]);
        };
        $costs = array_combine(range(10, 100, 10), array_map($cost, range(10, 100, 10)));
        expect(array_search(min($costs), $costs, true))->toBe($true);
    }
});

it('takes of a ball for a miss what a coach would', function (BallFlight $ball, array $misses) {
    expect($ball->misses())->toBe($misses);
})->with([
    'a good one' => [new BallFlight(2.9, -7.9, 'normal', 'centre'), []],
    'pushed' => [new BallFlight(3.0, 2.0, 'normal', 'centre'), ['push']],
    'pulled hook, thin' => [new BallFlight(-4.0, -9.0, 'low', 'thin'), ['thin', 'pull', 'hook']],
    'high and weak to the slice side' => [new BallFlight(0.0, 9.0, 'high', 'centre'), ['slice', 'high weak']],
    'off the heel' => [new BallFlight(0.0, 0.0, 'normal', 'heel'), []],
]);

it('bears a round of forty readers and two hundred cases', function () {
    $c = new Chance('large');
    $cases = [];
    for ($i = 0; $i < 200; $i++) {
        $true = randomSheet($c, ADVISED_NOTHING, 1.0);
        $said = [];
        for ($r = 0; $r < 40; $r++) {
            $said["r$r"] = sheetOf(randomSheet($c, $true, 0.4));
        }
        $cases[] = new AdvisedCase("c$i", 'g'.($i % 120), $said, null, [['fat']]);
    }
    $result = (new AdviceStudy($cases))->result();
    expect($result->among['causes']->estimate)->toBeGreaterThan(0.2)
        ->and($result->among['causes']->se)->toBeGreaterThan(0.0)
        ->and($result->among['chain']->estimate)->not->toBeNull()
        ->and($result->beside)->toHaveCount(40);
});
