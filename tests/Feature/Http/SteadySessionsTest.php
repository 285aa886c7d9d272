<?php

use App\Http\SteadySessions;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;

/** A handler as one request has it, and what is in the table of its session. */
function sessionsHandler(): SteadySessions
{
    return new SteadySessions(DB::connection(), 'sessions', 120, app());
}

function heldSession(string $id): ?object
{
    return DB::table('sessions')->where('id', $id)->first();
}

/** As a store hands it over: never twice the same text. */
function sealed(array $said): string
{
    return Crypt::encrypt(serialize($said));
}

it('is what the application keeps its sessions with', function () {
    config(['session.driver' => 'database']);
    expect(app('session')->driver('database')->getHandler())->toBeInstanceOf(SteadySessions::class);
});

it('writes a session that is new, changed or of a while ago, and none that is as it was', function () {
    $id = str_repeat('s', 40);
    expect(sessionsHandler()->read($id))->toBe('');
    $new = sessionsHandler();
    $new->read($id);
    expect($new->write($id, sealed(['_token' => 'a'])))->toBeTrue();
    $first = heldSession($id);
    expect($first)->not->toBeNull();
    $again = function (array $said) use ($id): object {
        $handler = sessionsHandler();
        $handler->read($id);
        expect($handler->write($id, sealed($said)))->toBeTrue();

        return heldSession($id);
    };
    // As it was: neither the payload, encrypted anew, nor the time is written.
    $this->travel(SteadySessions::BEHIND_S - 1)->seconds();
    expect($again(['_token' => 'a']))->toEqual($first);
    // Changed: at once.
    $changed = $again(['_token' => 'a', 'done' => 'Saved.']);
    expect($changed->payload)->not->toBe($first->payload)
        ->and($changed->last_activity)->toBe($first->last_activity + SteadySessions::BEHIND_S - 1);
    // A while ago: the time is kept, so that somebody who only saves is not idle.
    $this->travel(SteadySessions::BEHIND_S)->seconds();
    expect($again(['_token' => 'a', 'done' => 'Saved.'])->last_activity)
        ->toBe($changed->last_activity + SteadySessions::BEHIND_S);
    // A clock that was put back: written, or it would lie ahead for as long.
    $this->travel(-3600)->seconds();
    $back = $again(['_token' => 'a', 'done' => 'Saved.']);
    expect($back->last_activity)->toBeLessThan($changed->last_activity);
});

it('writes what it cannot read, takes no session for another, and does not bring back what was ended elsewhere', function () {
    $id = str_repeat('t', 40);
    $other = str_repeat('u', 40);
    foreach ([$id, $other] as $one) {
        $handler = sessionsHandler();
        $handler->read($one);
        $handler->write($one, sealed(['_token' => 'a']));
    }
    // Made with a key that is gone.
    DB::table('sessions')->where('id', $id)->update(['payload' => base64_encode('not ours')]);
    $handler = sessionsHandler();
    $handler->read($id);
    $handler->write($id, sealed(['_token' => 'b']));
    expect(unserialize(Crypt::decrypt(base64_decode((string) heldSession($id)->payload))))->toBe(['_token' => 'b']);
    // One was read, and a log-in has given it another name since.
    $handler = sessionsHandler();
    $handler->read($id);
    $handler->write($other, sealed(['_token' => 'b']));
    expect(unserialize(Crypt::decrypt(base64_decode((string) heldSession($other)->payload))))->toBe(['_token' => 'b']);
    // Ended by its person on another machine while the request ran.
    foreach ([['_token' => 'b'], ['_token' => 'c']] as $said) {
        $handler = sessionsHandler();
        $handler->read($other);
        DB::table('sessions')->where('id', $other)->delete();
        $handler->write($other, sealed($said));
        expect(heldSession($other))->toBeNull();
        DB::table('sessions')->insert([
            'id' => $other, 'payload' => base64_encode(sealed(['_token' => 'b'])), 'last_activity' => now()
                ->getTimestamp(),
        ]);
    }
});

it('ends a session that nobody used for as long as sessions last', function () {
    $id = str_repeat('v', 40);
    $handler = sessionsHandler();
    $handler->read($id);
    $handler->write($id, sealed(['_token' => 'a']));
    $this->travel(119)->minutes();
    expect(sessionsHandler()->read($id))->not->toBe('');
    $this->travel(2)->minutes();
    expect(sessionsHandler()->read($id))->toBe('');
});

it('writes the page last looked at only for whoever does not tell where they come from', function () {
    $id = str_repeat('w', 40);
    $handler = sessionsHandler();
    $handler->read($id);
    $handler->write($id, sealed(['_token' => 'a', '_previous' => ['url' => 'https://here/one']]));
    $after = function (array $said, ?string $from) use ($id): array {
        request()->headers->replace($from === null ? [] : ['referer' => $from]);
        $handler = sessionsHandler();
        $handler->read($id);
        $handler->write($id, sealed($said));

        return unserialize(Crypt::decrypt(base64_decode((string) heldSession($id)->payload)));
    };
    $one = ['_token' => 'a', '_previous' => ['url' => 'https://here/one']];
    $two = ['_token' => 'a', '_previous' => ['url' => 'https://here/two']];
    expect($after($two, 'https://here/one'))->toBe($one)
        ->and($after($two, null))->toBe($two)
        // Anything else that changes brings it along, an object of whatever class among it.
        ->and($after(['errors' => new ArrayObject(['no'])] + $one, 'https://here/two'))
        ->toEqual(['errors' => new ArrayObject(['no'])] + $one)
        ->and($after(['errors' => new ArrayObject(['oh'])] + $one, 'https://here/two'))
        ->toEqual(['errors' => new ArrayObject(['oh'])] + $one)
        ->and($after($two, 'https://here/two'))->toBe($two);
});
