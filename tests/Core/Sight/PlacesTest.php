<?php

use Core\Reading\Stage;
use Core\Sight\Place;
use Core\Sight\Role;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Core\Sight\Turn;
use Core\Sight\Why;

/** Every place there can be. */
function places(): array
{
    $out = [];
    foreach (SittingKind::cases() as $kind) {
        foreach (SittingState::cases() as $state) {
            for ($flags = 0; $flags < 8; $flags++) {
                $out[] = new Place(1, $kind, $state, ($flags & 1) > 0, ($flags & 2) > 0, ($flags & 4) > 0);
            }
        }
    }

    return $out;
}

it('hides a recording wherever somebody is still to be kept from it, and nowhere else', function () {
    $hiding = 0;
    foreach (places() as $p) {
        $why = $p->hides();
        $named = json_encode($p);
        // Nothing was asked yet, or it was taken out: the place says nothing.
        if ($p->state === SittingState::Draft || $p->withdrawn) {
            expect($why)->toBeNull($named);

            continue;
        }
        $hiding += $why === null ? 0 : 1;
        expect($why === Why::Reserved)->toBe($p->reserved, $named)
            // Until it is published it is hidden, for whatever reason; after that only what is reserved.
            ->and($why === null)->toBe($p->state === SittingState::Published && ! $p->reserved, $named)
            ->and($why === Why::Awaited)->toBe(
                $p->state === SittingState::Open && $p->pending && ! $p->reserved
                    && $p->kind !== SittingKind::Following,
                $named,
            );
    }
    expect($hiding)->toBeGreaterThan(60);
});

it('never shows more of what is awaited or reserved, and hides nothing once it is taken out', function () {
    foreach (places() as $p) {
        $with = static fn (bool $pending, bool $reserved, bool $withdrawn): ?Why => (new Place(
            $p->sitting,
            $p->kind,
            $p->state,
            $pending,
            $reserved,
            $withdrawn,
        ))->hides();
        if ($p->hides() !== null) {
            expect($with(true, $p->reserved, $p->withdrawn))->not->toBeNull()
                ->and($with($p->pending, true, $p->withdrawn))->not->toBeNull();
        }
        expect($with($p->pending, $p->reserved, true))->toBeNull()
            ->and($p->isPublished())->toBe(
                $p->state === SittingState::Published && ! $p->reserved && ! $p->withdrawn,
                json_encode($p),
            );
        // What is published hides nothing.
        if ($p->isPublished()) {
            expect($p->hides())->toBeNull();
        }
    }
});

it('takes a place for read, in sight and in the sitting where nothing else is said', function () {
    foreach (SittingKind::cases() as $kind) {
        foreach (SittingState::cases() as $state) {
            expect(new Place(4, $kind, $state))->toEqual(new Place(4, $kind, $state, false, false, false));
        }
    }
    $turn = new Turn(Stage::Blind, false, true, false);
    expect($turn)->toEqual(new Turn(Stage::Blind, false, true, false, false, 0, true, false, false))
        ->and($turn->isUnread())->toBeTrue()
        ->and((new Turn(Stage::Blind, true, true, false))->isUnread())->toBeFalse()
        ->and((new Turn(Stage::Reveal, false, true, false))->isUnread())->toBeFalse();
});

it('lets instructors sit everywhere but on a panel, and others everywhere', function () {
    foreach (SittingKind::cases() as $kind) {
        expect(Role::Instructor->maySit($kind))->toBe($kind !== SittingKind::Panel, $kind->value)
            ->and(Role::HeadCoach->maySit($kind))->toBeTrue()
            ->and(Role::Panel->maySit($kind))->toBeTrue();
    }
});
