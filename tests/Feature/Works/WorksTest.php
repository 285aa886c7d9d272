<?php

use App\Models\Enums\WorkKind;
use App\Works\Doers;

it('takes a job that waits in the queue under the name it had before', function (string $then, string $now) {
    $body = 's:'.strlen("\0$then\0".($then === 'App\Jobs\DoWork' ? 'work' : 'film')).':"'."\0$then\0"
        .($then === 'App\Jobs\DoWork' ? 'work' : 'film').'";i:7;';
    expect(unserialize('O:'.strlen($then).":\"$then\":1:{{$body}}"))->toBeInstanceOf($now);
})->with([
    ['App\Jobs\DoWork', App\Works\Jobs\DoWork::class],
    ['App\Jobs\FilmConversion', App\Shelf\Jobs\FilmConversion::class],
    ['App\Jobs\StillsOfFilm', App\Shelf\Jobs\StillsOfFilm::class],
]);

it('has somebody for every kind of long work', function () {
    expect(app(Doers::class))->toBeInstanceOf(Doers::class);
    new Doers([WorkKind::Open->value => static fn () => null]);
})->throws(LogicException::class, 'measure');
