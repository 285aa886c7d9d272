<?php

// Jobs that wait in the queue of an installation of before name their classes as they were called then.
spl_autoload_register(static function (string $class): void {
    $now = match ($class) {
        'App\Jobs\DoWork' => App\Works\Jobs\DoWork::class,
        'App\Jobs\FilmConversion' => App\Shelf\Jobs\FilmConversion::class,
        'App\Jobs\StillsOfFilm' => App\Shelf\Jobs\StillsOfFilm::class,
        default => null,
    };
    if ($now !== null) {
        class_alias($now, $class);
    }
});
