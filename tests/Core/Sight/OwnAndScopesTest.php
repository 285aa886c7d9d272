<?php

use Core\Reading\Stage;
use Core\Sight\Place;
use Core\Sight\Sight;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Core\Sight\Standing;
use Core\Sight\Thing;
use Core\Sight\Turn;
use Core\Sight\Why;

/** @return list<string> */
function shownBy(Sight $sight): array
{
    return array_values(array_map(
        static fn (Thing $t): string => $t->value,
        array_filter(Thing::cases(), $sight->shows(...)),
    ));
}

/** Every standing there can be, by what it says of each fact. */
function everyStanding(): Generator
{
    $places = [
        'none' => [],
        'published' => [new Place(1, SittingKind::Round, SittingState::Published)],
        'open' => [new Place(1, SittingKind::Round, SittingState::Open)],
        'pending' => [new Place(1, SittingKind::Round, SittingState::Open, true)],
        'review' => [new Place(1, SittingKind::Review, SittingState::Open)],
    ];
    foreach ($places as $name => $of) {
        for ($bits = 0; $bits < 128; $bits++) {
            $is = static fn (int $n): bool => ($bits >> $n & 1) === 1;
            yield "$name $bits" => [
                new Standing($is(0), $is(1), $is(2), $of, $is(3), $is(4), $is(5), $is(6)),
                $name,
            ];
        }
    }
}

it('shows nothing where nothing is agreed to that lets this person look', function () {
    $n = 0;
    foreach (everyStanding() as $name => [$s]) {
        if (! $s->consents && ! ($s->leads && $s->lessons)) {
            expect(Sight::ofRecording($s)->why)->toBe(Why::Consent, $name);
            $n++;
        }
    }
    expect($n)->toBeGreaterThan(100);
});

it('shows nothing of an own swing but where the golfer’s feel is awaited, to anybody', function () {
    foreach (everyStanding() as $name => [$s]) {
        $sight = Sight::ofRecording($s);
        if ($s->own && ! $s->feelAwaited) {
            expect(shownBy($sight))->toBe([], $name);
        }
        if ($s->own) {
            expect($sight->shows(Thing::Numbers))->toBeFalse($name)
                ->and($sight->shows(Thing::Key))->toBeFalse($name)
                ->and($sight->shows(Thing::Trace))->toBeFalse($name);
        }
    }
});

it('shows neither trace nor number before what was felt is said', function () {
    $film = 0;
    foreach (everyStanding() as $name => [$s]) {
        $sight = Sight::ofRecording($s);
        if ($s->feelAwaited) {
            foreach ([Thing::Trace, Thing::Numbers, Thing::Flight, Thing::Key, Thing::Calls, Thing::Names] as $thing) {
                expect($sight->shows($thing))->toBeFalse("$name $thing->value");
            }
            $film += $sight->shows(Thing::Film) ? 1 : 0;
        }
    }
    expect($film)->toBeGreaterThan(20);
});

it('opens lessons to who teaches, and to nobody else', function () {
    foreach (everyStanding() as $name => [$s]) {
        if (! $s->consents && $s->lessons && ! $s->leads) {
            expect(shownBy(Sight::ofRecording($s)))->toBe([], $name);
        }
    }
    $lesson = new Standing(false, true, true, [], lessons: true);
    expect(shownBy(Sight::ofRecording($lesson)))->toBe(['film', 'trace', 'context', 'flight', 'numbers']);
});

it('tells nothing of a round’s result where staff training is not agreed to', function () {
    foreach (everyStanding() as $name => [$s]) {
        foreach (SittingState::cases() as $state) {
            $sight = Sight::ofResult($s, 1, SittingKind::Round, $state);
            if (! $s->consents || $s->own || $s->feelAwaited) {
                expect($sight->shows(Thing::Key))->toBeFalse("$name {$state->value}")
                    ->and($sight->shows(Thing::Calls))->toBeFalse("$name {$state->value}");
            }
        }
    }
});

it('opens a private review to the golfer alone, and a round to everybody but the golfer', function () {
    foreach (everyStanding() as $name => [$s]) {
        foreach ([true, false] as $review) {
            $turn = new Turn(Stage::Blind, false, true, true, review: $review);
            $sight = Sight::ofReading($s, $turn);
            if ($s->own !== $review) {
                expect(shownBy($sight))->toBe([], $name);
            }
            if ($review && $s->own && $s->held && ($s->consents || $s->lessons)) {
                expect(shownBy($sight))->toBe(['film', 'trace', 'context'], $name)
                    ->and(Sight::mayReview($s))->toBeTrue($name);
            }
            if (! $review && ! $s->own && $s->held && $s->consents) {
                expect(shownBy($sight))->toBe(['film', 'trace', 'context'], $name);
            }
        }
        expect(Sight::mayReview($s) && ! $s->own)->toBeFalse($name);
    }
    $after = new Turn(Stage::Reveal, false, true, true, review: true);
    $own = new Standing(true, true, false, [new Place(1, SittingKind::Review, SittingState::Open)], own: true);
    expect(shownBy(Sight::ofReading($own, $after)))->toBe(['film', 'trace', 'context', 'flight', 'numbers']);
});

it('shows a film to a room only by who may see it, and only where that is agreed to', function () {
    foreach (everyStanding() as $name => [$s]) {
        if (Sight::mayShowRoom($s)) {
            expect($s->room)->toBeTrue($name)->and(Sight::ofRecording($s)->shows(Thing::Film))->toBeTrue($name);
        } elseif ($s->room) {
            expect(Sight::ofRecording($s)->shows(Thing::Film))->toBeFalse($name);
        }
    }
});

it('withholds no figure for an own swing: it is left out of that person’s, not hidden from the others', function () {
    foreach (everyStanding() as $name => [$s, $place]) {
        $why = Sight::withholds([$s]);
        expect($why !== null)->toBe(in_array($place, ['pending', 'open', 'review'], true), $name);
    }
    expect(Why::Own->spoilsFigures())->toBeFalse()->and(Why::Feel->spoilsFigures())->toBeFalse();
});
