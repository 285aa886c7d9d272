<?php

use Core\Reading\Stage;
use Core\Sight\Place;
use Core\Sight\Reveal;
use Core\Sight\Sight;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Core\Sight\Standing;
use Core\Sight\Thing;
use Core\Sight\Turn;
use Core\Sight\Why;

function place(
    SittingState $state,
    bool $pending = false,
    bool $reserved = false,
    bool $withdrawn = false,
    int $sitting = 1,
    SittingKind $kind = SittingKind::Round,
): Place {
    return new Place($sitting, $kind, $state, $pending, $reserved, $withdrawn);
}

/** @return list<string> */
function things(Sight $sight): array
{
    return array_map(
        static fn (Thing $t): string => $t->value,
        array_values(array_filter(Thing::cases(), $sight->shows(...))),
    );
}

$all = ['film', 'trace', 'context', 'flight', 'numbers', 'key', 'calls', 'names'];

it('shows a recording by the first row that fits', function (Standing $standing, array $shows, ?Why $why) {
    $sight = Sight::ofRecording($standing);
    expect(things($sight))
        ->toBe($shows)
        ->and($sight->why)
        ->toBe($why)
        ->and($sight->isNothing())
        ->toBe($shows === []);
})->with([
    'no consent, whoever asks' => [new Standing(false, true, true, [place(SittingState::Published)]), [], Why::Consent],
    'erased' => [new Standing(true, false, true), [], Why::Erased],
    'nobody in particular' => [new Standing(true, true, false), [], Why::NotTheirs],
    'a head coach' => [new Standing(true, true, true), ['film', 'trace', 'context', 'flight', 'numbers'], null],
    'a draft changes nothing' => [
        new Standing(true, true, false, [place(SittingState::Draft, true)]),
        [],
        Why::NotTheirs,
    ],
    'a draft beside what is published' => [
        new Standing(true, true, false, [place(SittingState::Draft, true), place(SittingState::Published)]),
        ['film', 'trace', 'context', 'flight', 'numbers', 'key', 'calls'],
        null,
    ],
    'published' => [
        new Standing(true, true, false, [place(SittingState::Published)]),
        ['film', 'trace', 'context', 'flight', 'numbers', 'key', 'calls'],
        null,
    ],
    'published here, awaited there' => [
        new Standing(true, true, false, [place(SittingState::Published), place(SittingState::Open, true)]),
        [],
        Why::Awaited,
    ],
    'awaited by a head coach' => [new Standing(true, true, true, [place(SittingState::Open, true)]), [], Why::Awaited],
    'handed in, unpublished' => [
        new Standing(true, true, false, [place(SittingState::Published), place(SittingState::Open)]),
        [],
        Why::Unpublished,
    ],
    'closed, unpublished, by a head coach' => [
        new Standing(true, true, true, [place(SittingState::Closed)]),
        [],
        Why::Unpublished,
    ],
    'never handed in, closed' => [
        new Standing(true, true, false, [place(SittingState::Closed, true)]),
        [],
        Why::Unpublished,
    ],
    'awaited outweighs what is merely unpublished' => [
        new Standing(true, true, false, [place(SittingState::Open), place(SittingState::Open, true)]),
        [],
        Why::Awaited,
    ],
    'reserved, published' => [
        new Standing(true, true, false, [place(SittingState::Published, reserved: true)]),
        [],
        Why::Reserved,
    ],
    'taken out of the sitting' => [
        new Standing(true, true, false, [place(SittingState::Open, true, withdrawn: true)]),
        [],
        Why::NotTheirs,
    ],
]);

it('shows what a sitting came to by role, state and seat', function (
    Standing $standing,
    SittingKind $kind,
    SittingState $state,
    array $shows,
) {
    expect(things(Sight::ofResult($standing, 1, $kind, $state)))->toBe($shows);
})->with([
    'a panel, closed, to a head coach' => [
        new Standing(true, true, true),
        SittingKind::Panel,
        SittingState::Closed,
        $all,
    ],
    'a panel, open, to a head coach' => [
        new Standing(true, true, true),
        SittingKind::Panel,
        SittingState::Open,
        ['film', 'trace', 'context', 'flight', 'numbers'],
    ],
    'a staff round, closed, to a head coach' => [
        new Standing(true, true, true),
        SittingKind::Round,
        SittingState::Closed,
        ['film', 'trace', 'context', 'flight', 'numbers'],
    ],
    'a staff round, published, to a head coach' => [
        new Standing(true, true, true),
        SittingKind::Round,
        SittingState::Published,
        $all,
    ],
    'published, with a seat in it' => [
        new Standing(true, true, false, [place(SittingState::Published)]),
        SittingKind::Round,
        SittingState::Published,
        array_slice($all, 0, 7),
    ],
    'published, with a seat in another' => [
        new Standing(true, true, false, [place(SittingState::Published, sitting: 2)]),
        SittingKind::Round,
        SittingState::Published,
        [],
    ],
    'published, awaited elsewhere' => [
        new Standing(true, true, true, [place(SittingState::Open, true, sitting: 2)]),
        SittingKind::Panel,
        SittingState::Published,
        [],
    ],
]);

it('shows the own sheet by its turn', function (array $places, Turn $turn, array $shows, ?Why $why) {
    $sight = Sight::ofReading(new Standing(true, true, false, $places), $turn);
    expect(things($sight))->toBe($shows)->and($sight->why)->toBe($why);
})->with([
    'blind, film only' => [
        [place(SittingState::Open, true)],
        new Turn(Stage::Blind, false, true, false),
        ['film', 'context'],
        null,
    ],
    'blind, trace only' => [
        [place(SittingState::Open, true)],
        new Turn(Stage::Blind, false, false, true),
        ['trace', 'context'],
        null,
    ],
    'handed in' => [
        [place(SittingState::Open)],
        new Turn(Stage::Blind, true, true, true),
        ['film', 'trace', 'context'],
        null,
    ],
    'handed in, with repeats and others left' => [
        [place(SittingState::Open)],
        new Turn(Stage::Blind, true, true, true, true, 1),
        [],
        Why::Others,
    ],
    'handed in, with repeats and none left' => [
        [place(SittingState::Open)],
        new Turn(Stage::Blind, true, true, true, true, 0),
        ['film', 'trace', 'context'],
        null,
    ],
    'blind, with repeats and others left' => [
        [place(SittingState::Open, true)],
        new Turn(Stage::Blind, false, true, true, true, 5),
        ['film', 'trace', 'context'],
        null,
    ],
    'a second look' => [
        [place(SittingState::Open)],
        new Turn(Stage::Reveal, false, true, false),
        ['film', 'context', 'flight', 'numbers'],
        null,
    ],
    'a second look while it is awaited elsewhere' => [
        [place(SittingState::Open), place(SittingState::Open, true, sitting: 2)],
        new Turn(Stage::Reveal, false, true, true),
        [],
        Why::Awaited,
    ],
    'a second look handed in while it is awaited elsewhere' => [
        [place(SittingState::Open), place(SittingState::Open, true, sitting: 2)],
        new Turn(Stage::Reveal, true, true, true),
        [],
        Why::Awaited,
    ],
    'a second look with repeats and others left' => [
        [place(SittingState::Open)],
        new Turn(Stage::Reveal, false, true, true, true, 2),
        [],
        Why::Others,
    ],
    'a part that has not begun' => [
        [place(SittingState::Open, true)],
        new Turn(Stage::Blind, false, true, true, true, 9, false),
        [],
        Why::TooSoon,
    ],
    'taken out' => [[], new Turn(Stage::Blind, false, true, true, withdrawn: true), [], Why::NotTheirs],
]);

it(
    'withholds a figure whole when one of what it is made from is hidden, but not for a consent that ended',
    function () {
        $seen = new Standing(true, true, false, [place(SittingState::Published)]);
        expect(Sight::withholds([$seen, new Standing(true, true, false, [place(SittingState::Open, true)])]))
            ->toBe(Why::Awaited)
            ->and(Sight::withholds([$seen, new Standing(true, true, false, [place(SittingState::Closed)])]))
            ->toBe(Why::Unpublished)
            ->and(
                Sight::withholds([
                    $seen,
                    new Standing(false, true, false, [place(SittingState::Published)]),
                    new Standing(true, false, false),
                ]),
            )
            ->toBeNull();
    },
);

it('shows of several what may be seen of every one, and nothing of none', function () {
    $one = Sight::ofRecording(new Standing(true, true, true));
    $other = Sight::ofRecording(new Standing(true, true, false, [place(SittingState::Published)]));
    expect(things(Sight::ofAll([$one, $other])))
        ->toBe(['film', 'trace', 'context', 'flight', 'numbers'])
        ->and(Sight::ofAll([$one, Sight::nothing(Why::Awaited)])->why)
        ->toBe(Why::Awaited);
});

it(
    'never shows numbers, key, flight or calls of what somebody has still to read blind, in any combination',
    function () {
        $states = SittingState::cases();
        foreach ([true, false] as $leads) {
            foreach ($states as $a) {
                foreach ($states as $b) {
                    foreach ([[true, false], [false, true], [true, true], [false, false]] as [$pa, $pb]) {
                        $standing = new Standing(true, true, $leads, [
                            place($a, $pa),
                            place($b, $pb, sitting: 2, kind: SittingKind::Panel),
                        ]);
                        $awaited = ($a === SittingState::Open && $pa) || ($b === SittingState::Open && $pb);
                        foreach (
                            [
                                Sight::ofRecording($standing),
                                Sight::ofResult($standing, 1, SittingKind::Round, SittingState::Published),
                                Sight::ofReading($standing, new Turn(Stage::Reveal, true, true, true)),
                            ] as $sight
                        ) {
                            foreach (
                                [Thing::Numbers, Thing::Key, Thing::Flight, Thing::Calls, Thing::Names] as $thing
                            ) {
                                expect($awaited && $sight->shows($thing))->toBeFalse();
                            }
                        }
                    }
                }
            }
        }
    },
);

it('shows on a question of a following round what the blind sheet showed, and what others said', function (
    Standing $standing,
    Turn $turn,
    bool $asked,
    array $shows,
    ?Why $why,
) {
    $sight = Sight::ofFollowing($standing, $turn, $asked);
    expect(things($sight))->toBe($shows)->and($sight->why)->toBe($why);
})->with(function () {
    $handedIn = new Turn(Stage::Blind, true, true, true);
    $panel = [place(SittingState::Closed, kind: SittingKind::Panel)];

    return [
        'asked' => [
            new Standing(true, true, false, $panel), $handedIn, true, ['film', 'trace', 'context', 'calls'], null,
        ],
        'by the trace alone' => [
            new Standing(true, true, false, $panel),
            new Turn(Stage::Blind, true, false, true),
            true,
            ['trace', 'context', 'calls'],
            null,
        ],
        'a following round that is open waits for no blind reading' => [
            new Standing(true, true, false, [
                ...$panel,
                place(SittingState::Open, true, sitting: 2, kind: SittingKind::Following),
            ]),
            $handedIn,
            true,
            ['film', 'trace', 'context', 'calls'],
            null,
        ],
        'not asked, or no more' => [new Standing(true, true, false, $panel), $handedIn, false, [], Why::NotTheirs],
        'never handed in' => [
            new Standing(true, true, false, $panel),
            new Turn(Stage::Blind, false, true, true),
            true,
            [],
            Why::NotTheirs,
        ],
        'withdrawn' => [
            new Standing(true, true, false, $panel),
            new Turn(Stage::Blind, true, true, true, withdrawn: true),
            true,
            [],
            Why::NotTheirs,
        ],
        'still to be read blind elsewhere, head coach or not' => [
            new Standing(true, true, true, [...$panel, place(SittingState::Open, true, sitting: 2)]),
            $handedIn,
            true,
            [],
            Why::Awaited,
        ],
        'no consent' => [new Standing(false, true, false, $panel), $handedIn, true, [], Why::Consent],
        'erased' => [new Standing(true, false, false, $panel), $handedIn, true, [], Why::Erased],
        'an own swing' => [new Standing(true, true, false, $panel, own: true), $handedIn, true, [], Why::Own],
    ];
});

it('shows where a panel judges drills what its following round shows but for what others said', function () {
    $turns = [];
    foreach ([[true, true], [false, true], [true, false]] as [$film, $trace]) {
        foreach ([true, false] as $handedIn) {
            foreach ([true, false] as $withdrawn) {
                $turns[] = new Turn(Stage::Blind, $handedIn, $film, $trace, withdrawn: $withdrawn);
            }
        }
    }
    foreach (mixedStandings() as $standing) {
        foreach ($turns as $turn) {
            foreach ([true, false] as $asked) {
                $judging = Sight::ofJudging($standing, $turn, $asked);
                $following = Sight::ofFollowing($standing, $turn, $asked);
                expect(things($judging))->toBe(array_values(array_diff(things($following), ['calls'])))
                    ->and($judging->why)->toBe($following->why);
                foreach ([Thing::Calls, Thing::Names, Thing::Key, Thing::Numbers, Thing::Flight] as $never) {
                    expect($judging->shows($never))->toBeFalse();
                }
            }
        }
    }
});

it('shows in a debrief one thing after the other, the film by consent alone, and names never', function () {
    $joined = new Standing(true, true, false, [place(SittingState::Published)], room: true);
    $shown = [
        [Reveal::Swing, []],
        [Reveal::Spread, ['calls']],
        [Reveal::Panel, ['key', 'calls']],
        [Reveal::Measured, ['numbers', 'key', 'calls']],
        [Reveal::Flight, ['flight', 'numbers', 'key', 'calls']],
        [Reveal::Ruling, ['flight', 'numbers', 'key', 'calls']],
    ];
    foreach ($shown as [$reveal, $more]) {
        expect(things(Sight::ofDebrief($joined, $reveal, true)))->toBe(['film', 'trace', 'context', ...$more]);
        $noRoom = new Standing(true, true, false, [place(SittingState::Published)]);
        expect(things(Sight::ofDebrief($noRoom, $reveal, true)))->toBe(['trace', 'context', ...$more]);
    }
    foreach (mixedStandings() as $standing) {
        foreach (Reveal::cases() as $reveal) {
            foreach ([true, false] as $in) {
                $sight = Sight::ofDebrief($standing, $reveal, $in);
                $barred = ! $standing->consents || ! $standing->held || $standing->own || $standing->feelAwaited ||
                    $standing->hiddenBy() !== null || ! $in;
                expect($sight->isNothing())->toBe($barred)
                    ->and($sight->why === null)->toBe(! $barred)
                    ->and($sight->shows(Thing::Names))->toBeFalse()
                    ->and($sight->shows(Thing::Film) && ! $standing->room)->toBeFalse();
                // What is shown stays shown: a later step shows no less.
                foreach (Reveal::cases() as $later) {
                    if ($later->covers($reveal)) {
                        expect(array_diff(things($sight), things(Sight::ofDebrief($standing, $later, $in))))->toBe([]);
                    }
                }
            }
        }
    }
});

/** @return list<Standing> every way to stand to a recording that decides something */
function mixedStandings(): array
{
    $places = [
        [],
        [place(SittingState::Published)],
        [place(SittingState::Open, true)],
        [place(SittingState::Open)],
        [place(SittingState::Closed, kind: SittingKind::Panel)],
        [place(SittingState::Published, reserved: true)],
        [place(SittingState::Published), place(SittingState::Open, true, sitting: 2)],
        [place(SittingState::Draft, true)],
    ];
    $out = [];
    foreach ($places as $of) {
        for ($bits = 0; $bits < 64; $bits++) {
            $is = static fn (int $bit): bool => ($bits >> $bit & 1) === 1;
            $out[] = new Standing($is(0), $is(1), $is(2), $of, own: $is(3), room: $is(4), feelAwaited: $is(5));
        }
    }

    return $out;
}

it('gives the same reason in whatever order places and swings come', function () {
    $kept = place(SittingState::Published, reserved: true);
    $read = place(SittingState::Open, sitting: 2);
    $awaited = place(SittingState::Open, true, sitting: 3);
    $of = fn (array ...$places): array => array_map(
        fn (array $p): Standing => new Standing(true, true, false, $p),
        $places,
    );
    foreach ([[$kept, $read], [$read, $kept]] as $places) {
        expect($of($places)[0]->hiddenBy())->toBe(Why::Reserved);
    }
    foreach ([[$kept, $awaited], [$awaited, $kept]] as $places) {
        expect($of($places)[0]->hiddenBy())->toBe(Why::Awaited);
    }
    $sets = [
        'reserved' => [[$kept], [$read], [$awaited], []],
        'awaited' => [[$read], [$awaited], []],
        'unpublished' => [[], [$read]],
    ];
    foreach ($sets as $why => $places) {
        foreach (range(1, 12) as $i) {
            $these = (new Core\Chance\Chance("order $i"))->shuffled($places);
            expect(Sight::withholds($of(...$these))?->value)->toBe($why);
        }
    }
});

it('asks on the own sheet for consents, what is held and whose it is, and for places once it is read', function () {
    $things = static fn (Sight $s): array => [things($s), $s->why];
    foreach ([Stage::Blind, Stage::Reveal] as $stage) {
        for ($bits = 0; $bits < 64; $bits++) {
            $is = static fn (int $bit): bool => ($bits >> $bit & 1) === 1;
            $turn = static fn (bool $repeats, int $left): Turn => new Turn(
                $stage, $is(0), $is(1), $is(2), $repeats, $left, $is(3), $is(4), $is(5),
            );
            foreach (mixedStandings() as $s) {
                foreach ([true, false] as $lessons) {
                    $bare = new Standing($s->consents, $s->held, $s->leads, $s->places, $lessons, $s->own);
                    $whole = new Standing(
                        $s->consents, $s->held, $s->leads, $s->places, $lessons, $s->own, ! $s->room, ! $s->feelAwaited,
                        true, true, true, true,
                    );
                    $seen = $things(Sight::ofReading($bare, $turn(false, 0)));
                    expect($things(Sight::ofReading($whole, $turn(false, 0))))->toBe($seen);
                    if ($turn(false, 0)->isUnread()) {
                        $placeless = new Standing($s->consents, $s->held, ! $s->leads, [], $lessons, $s->own);
                        expect($things(Sight::ofReading($placeless, $turn(true, 7))))->toBe($seen);
                    }
                }
            }
        }
    }
});
