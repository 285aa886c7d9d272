<?php

use Core\Chance\Chance;
use Core\Simulation\TrainingStudy;
use Core\Training\Learner;
use Core\Training\NextQuestion;
use Core\Training\Question;
use Core\Training\Reason;
use Core\Training\Skill;

/** @return list<Question> of so many swings each, the first half showing it */
function questions(array $faults, int $swings = 6): array
{
    $out = [];
    foreach ($faults as $fault) {
        for ($i = 0; $i < $swings; $i++) {
            $out[] = new Question("$fault $i", "swing $i", $fault, $i < $swings / 2, 0.4 * ($i % 3 - 1));
        }
    }

    return $out;
}

/** @return array<string, Skill> by fault, each with this chance and so many answers */
function skilled(array $chances, int $answers = 20, ?float $since = 1.0, float $se = 0.3): array
{
    $out = [];
    foreach ($chances as $fault => $p) {
        $out[$fault] = new Skill($fault, log($p / (1 - $p)), $se, $answers, $since);
    }

    return $out;
}

it('asks about what may be weakest, and says so', function () {
    $skills = skilled(['a' => 0.9, 'b' => 0.55, 'c' => 0.8]);
    $next = NextQuestion::of(questions(['a', 'b', 'c']), $skills, [], [], new Chance('x'));
    expect($next->question->fault)->toBe('b')->and($next->why->code)->toBe(Reason::Weak->value)
        ->and($next->why->with['low_percent'])->toEqualWithDelta(100 * $skills['b']->low(), 1e-9);
    // What is hardly known may be weak as well.
    $skills['c'] = new Skill('c', 1.1, 1.2, 0, null);
    expect(NextQuestion::of(questions(['a', 'b', 'c']), $skills, [], [], new Chance('x'))->why->code)
        ->toBe(Reason::Fresh->value);
});

it('never asks the same swing twice running, nor one fault three times while there is another', function () {
    $c = new Chance('running');
    for ($i = 0; $i < 60; $i++) {
        $faults = ['a', 'b', 'c'];
        $skills = skilled(array_combine($faults, [0.5 + 0.4 * $c->uniform(), 0.6, 0.5 + 0.4 * $c->uniform()]));
        $before = [];
        for ($k = 0; $k < 12; $k++) {
            $next = NextQuestion::of(questions($faults, $c->between(2, 5)), $skills, $before, [], $c)->question;
            $n = count($before);
            if ($n > 0) {
                expect($next->swing)->not->toBe($before[$n - 1]->swing);
            }
            if ($n > 1 && $before[$n - 1]->fault === $before[$n - 2]->fault) {
                expect($next->fault)->not->toBe($before[$n - 1]->fault);
            }
            $before[] = $next;
        }
    }
});

it('asks there and not there turn about, and what was asked least', function () {
    $skills = skilled(['a' => 0.6]);
    $before = [new Question('a 0', 'other', 'a', true)];
    expect(NextQuestion::of(questions(['a']), $skills, $before, [], new Chance('t'))->question->present)->toBeFalse();
    $asked = [new Question('once', 's1', 'a', true, 0.0, 1), new Question('never', 's2', 'a', true, 0.0, 0)];
    expect(NextQuestion::of($asked, $skills, [], [], new Chance('t'))->question->id)->toBe('never');
});

it('asks sooner about what another is called in the place of', function () {
    $skills = skilled(['a' => 0.8, 'b' => 0.79, 'c' => 0.6]);
    $fault = static fn (array $confused): string => NextQuestion::of(
        questions(['a', 'b']),
        $skills,
        [],
        $confused,
        new Chance('c'),
    )->question->fault;
    expect($fault([]))->toBe('b')->and($fault(['a' => 'c']))->toBe('a');
});

it('takes a question a little above the person', function () {
    $of = static fn (float $p): float => NextQuestion::of([
        new Question('easy', 's1', 'a', true, -1.5),
        new Question('usual', 's2', 'a', true),
        new Question('hard', 's3', 'a', true, 1.5),
    ], skilled(['a' => $p]), [], [], new Chance('d'))->question->difficulty;
    expect([$of(0.45), $of(0.77), $of(0.95)])->toBe([-1.5, 0.0, 1.5]);
});

it('has nothing to ask where nothing may be asked, and asks the only fault again where there is but one', function () {
    expect(NextQuestion::of([], skilled(['a' => 0.5]), [], [], new Chance('n')))->toBeNull();
    $one = [new Question('1', 's1', 'a', true)];
    expect(NextQuestion::of($one, skilled(['a' => 0.5]), $one, [], new Chance('n')))->toBeNull()
        ->and(NextQuestion::of($one, skilled(['b' => 0.5]), [], [], new Chance('n')))->toBeNull();
    $before = [new Question('1', 's1', 'a', true), new Question('2', 's2', 'a', false)];
    expect(NextQuestion::of([new Question('3', 's3', 'a', true)], skilled(['a' => 0.5]), $before, [], new Chance('n'))
        ->question->id)->toBe('3');
});

it('tells a confusion, what is due, and that all stands well', function () {
    $why = static fn (array $skills, array $confused = []): string => NextQuestion::of(
        questions(array_keys($skills)),
        $skills,
        [],
        $confused,
        new Chance('w'),
    )->why->code;
    expect($why(skilled(['a' => 0.5]), ['a' => 'b']))->toBe(Reason::Confused->value)
        ->and($why(skilled(['a' => 0.97], 50, 30.0)))->toBe(Reason::Due->value)
        ->and($why(skilled(['a' => 0.97], 50, 1.0)))->toBe(Reason::Kept->value);
});

it('finds planted weaknesses in people who learn by another model, and teaches more than chance or a list', function () {
    $faults = array_map(static fn (int $i): string => "fault-$i", range(1, 27));
    $study = new TrainingStudy($faults);
    $mean = [];
    foreach (['model', 'random', 'fixed'] as $by) {
        foreach (range(1, many(20, 60)) as $person) {
            foreach ($study->person("person $person", $by, 40) as $what => $value) {
                $mean[$by][$what][] = $value;
            }
        }
        $mean[$by] = array_map(static fn (array $v): float => array_sum($v) / count($v), $mean[$by]);
    }
    expect($mean['model']['found'])->toBeGreaterThan(0.8)
        ->and($mean['model']['gain'])->toBeGreaterThan(1.25 * $mean['random']['gain'])
        ->toBeGreaterThan(1.25 * $mean['fixed']['gain'])
        ->and($mean['random']['found'])->toBeLessThan(0.5)
        ->and(Learner::VERSION)->toBe('1');
});
