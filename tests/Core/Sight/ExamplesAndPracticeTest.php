<?php

use Core\Sight\Place;
use Core\Sight\Sight;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Core\Sight\Standing;
use Core\Sight\Thing;
use Core\Sight\Why;

/*
 * Two ways to a swing that is nobody's reading: an example of the codebook, and practice.
 */

/** @param  array<string, mixed>  $with */
function stood(array $with = []): Standing
{
    return new Standing(...[
        'consents' => true, 'held' => true, 'leads' => false, 'places' => [], ...$with,
    ]);
}

/** @return list<string> */
function shownOf(Sight $sight): array
{
    return array_map(
        static fn (Thing $t): string => $t->value,
        array_values(array_filter(Thing::cases(), $sight->shows(...))),
    );
}

function seated(SittingState $state, bool $pending = false, bool $reserved = false): Place
{
    return new Place(1, SittingKind::Round, $state, $pending, $reserved);
}

const EXAMPLE_SHOWS = ['film', 'trace', 'context', 'numbers', 'key'];

it('shows an example to who took it up, and no more than that use allows', function (
    array $with,
    bool $offered,
    array $shows,
    ?Why $why,
) {
    $s = stood(['example' => true, ...$with]);
    expect(Sight::offersExample($s))->toBe($offered)
        ->and(shownOf(Sight::ofRecording($s)))->toBe($shows)
        ->and(Sight::ofRecording($s)->why)->toBe($why);
})->with([
    'looked at' => [['looked' => true], true, EXAMPLE_SHOWS, null],
    'not looked at yet' => [[], true, [], Why::NotTheirs],
    // Teaching material is a use of its own: staff training may have ended.
    'no other consent' => [['consents' => false, 'looked' => true], true, EXAMPLE_SHOWS, null],
    'no other consent, a head coach' => [
        ['consents' => false, 'leads' => true, 'looked' => true], true, EXAMPLE_SHOWS, null,
    ],
    'no other consent, once published to them' => [
        ['consents' => false, 'looked' => true, 'places' => [seated(SittingState::Published)]], true, EXAMPLE_SHOWS,
        null,
    ],
    'own' => [['own' => true, 'looked' => true], false, [], Why::Own],
    'erased' => [['held' => false, 'looked' => true], false, [], Why::Erased],
    'the feel is still to be said' => [
        ['feelAwaited' => true, 'looked' => true], false, ['film', 'context'], null,
    ],
    'to be read blind' => [
        ['looked' => true, 'places' => [seated(SittingState::Open, true)]], false, [], Why::Awaited,
    ],
    'handed in, unpublished' => [
        ['looked' => true, 'places' => [seated(SittingState::Closed)]], false, [], Why::Unpublished,
    ],
    'kept for later' => [
        ['looked' => true, 'places' => [seated(SittingState::Published, false, true)]], false, [], Why::Reserved,
    ],
]);

it('is no example without consent for it, looked at or not', function () {
    foreach ([true, false] as $looked) {
        $s = stood(['looked' => $looked]);
        expect(Sight::offersExample($s))->toBeFalse()->and(shownOf(Sight::ofRecording($s)))->toBe([]);
    }
    expect(Sight::ofRecording(stood(['consents' => false, 'looked' => true]))->why)->toBe(Why::Consent);
});

it('asks in practice only what nothing hides, and tells the rest with the answer', function (array $with, ?Why $why) {
    $s = stood($with);
    expect(Sight::mayPractise($s))->toBe($why === null);
    [$before, $after] = [Sight::ofPractice($s, false), Sight::ofPractice($s, true)];
    expect($before->why)->toBe($why)->and($after->why)->toBe($why)
        ->and(shownOf($before))->toBe($why === null ? ['film', 'trace', 'context'] : [])
        ->and(shownOf($after))->toBe(
            $why === null ? ['film', 'trace', 'context', 'flight', 'numbers', 'key', 'calls'] : [],
        )
        ->and($after->shows(Thing::Names))->toBeFalse();
})->with([
    'nothing hides it' => [[], null],
    'published to them' => [['places' => [seated(SittingState::Published)]], null],
    'a head coach' => [['leads' => true], null],
    'no consent' => [['consents' => false, 'lessons' => true, 'leads' => true], Why::Consent],
    'erased' => [['held' => false], Why::Erased],
    'own' => [['own' => true], Why::Own],
    'the feel is still to be said' => [['feelAwaited' => true], Why::NotTheirs],
    'kept for later by a round they have no seat in' => [['kept' => true], Why::NotTheirs],
    'kept in their own' => [['places' => [seated(SittingState::Published, false, true)]], Why::Reserved],
    'to be read blind' => [
        ['places' => [seated(SittingState::Open, true), seated(SittingState::Published)]],
        Why::Awaited,
    ],
    'handed in, unpublished' => [['places' => [seated(SittingState::Closed)]], Why::Unpublished],
    'an example they took up, elsewhere to be read' => [
        ['example' => true, 'looked' => true, 'places' => [seated(SittingState::Open, true)]], Why::Awaited,
    ],
]);
