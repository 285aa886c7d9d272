<?php

use App\Words\Term;
use Core\Codebook\Shown;
use Core\Consensus\Grade;
use Core\Measurement\Measure;
use Core\Motion\Station;
use Core\Motion\View;
use Core\Reading\BallFlight;
use Core\Reading\Miss;
use Core\Reading\Stop;
use Core\Trace\DeviceClass;
use Illuminate\Support\Facades\Lang;

it('has a name for everything that core knows by a code', function () {
    $lines = [
        ...array_map(fn (Measure $m): string => "measures.names.$m->value", Measure::cases()),
        ...array_map(fn (Measure $m): string => "measures.definitions.$m->value", Measure::cases()),
        ...array_map(fn (Station $s): string => "stations.names.$s->value", Station::cases()),
        ...array_map(fn (Station $s): string => "stations.definitions.$s->value", Station::cases()),
        ...array_map(fn (DeviceClass $d): string => "devices.$d->value", DeviceClass::cases()),
        ...array_map(fn (View $v): string => "views.points.$v->value", View::cases()),
        ...array_map(fn (Grade $g): string => "grades.says.$g->value", Grade::cases()),
        ...array_map(fn (Stop $s): string => "reading.stops.$s->value", Stop::cases()),
        ...array_map(fn (Miss $m): string => "reading.misses.$m->value", Miss::cases()),
    ];
    foreach ($lines as $line) {
        expect(Lang::has($line))->toBeTrue($line);
    }
    // Nothing is worded that is not there any more.
    expect(array_keys(__('measures.names')))->toBe(array_map(fn (Measure $m): string => $m->value, Measure::cases()));
});

it('never says "weight" of a golfer', function () {
    foreach (Measure::cases() as $measure) {
        expect(Term::measure($measure).Term::definition($measure))->not->toContain('weight ');
    }
});

it('says what a reader is shown', function () {
    expect(Term::shown(new Shown(null, true)))->toBe('film only')
        ->and(Term::shown(new Shown(null, false)))->toBe('nothing')
        ->and(Term::shown(new Shown(DeviceClass::Mat, true)))->toBe('film and pressure mat')
        ->and(Term::measure(Measure::ImpactShare, 'IM'))->toBe('lead share at impact at IM');
});

it('has a line for every word a script asks for, and prints it into a page that uses the script', function () {
    $root = dirname(__DIR__, 3);
    $asked = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/public/js")) as $file) {
        if ($file->getExtension() === 'js') {
            preg_match_all(
                "/'([a-z]+(?:\\.[a-z-]+){1,4})'/",
                (string) preg_replace('/^import.*$/m', '', (string) file_get_contents($file->getPathname())),
                $found,
            );
            array_push($asked, ...$found[1]);
        }
    }
    $areas = array_map(fn (string $path): string => basename($path, '.php'), glob("$root/lang/en/*.php") ?: []);
    $asked = array_filter(array_unique($asked), fn (string $p): bool => in_array(explode('.', $p)[0], $areas, true));
    expect(count($asked))->toBeGreaterThan(60);
    foreach ($asked as $path) {
        expect(Lang::has($path))->toBeTrue($path);
    }
});

it('explains in place only words that the glossary has, and each under an id of its own', function () {
    $asked = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(resource_path('views'))) as $file) {
        if ($file->isFile()) {
            preg_match_all('/<x-terms :of="\\[([^\\]]+)\\]"/', (string) file_get_contents($file->getPathname()), $m);
            foreach ($m[1] as $list) {
                array_push($asked, ...array_map(fn (string $k): string => trim($k, " '"), explode(',', $list)));
            }
        }
    }
    expect(count($asked))->toBeGreaterThan(15);
    foreach ($asked as $key) {
        expect(Lang::has("glossary.$key"))->toBeTrue($key);
    }
    $page = (string) $this->actingAs($this->headCoach())
        ->get('/agreement/'.$this->round('Spring')->public_id)
        ->assertOk()
        ->assertSee('popovertarget="term-', false)
        ->getContent();
    preg_match_all('/<span id="(term-[0-9]+)" popover/', $page, $ids);
    expect($ids[1])->not->toBe([])->toBe(array_values(array_unique($ids[1])));
});

it('says what the ball did in words that hold for either hand', function (array $of, string $says) {
    expect(Term::flight(new BallFlight(...$of)))->toBe($says);
})->with([
    [[0.4, -0.9, 'normal', 'centre'], 'started straight, flew straight, normal; struck in the centre'],
    [
        [3.2, 5.0, 'high', 'thin', 2.0],
        'started 3° to the push side, faded 5°, high; struck thin, low point 2 cm ahead of the ball',
    ],
    [
        [-4.0, -9.0, 'low', 'fat', -4.0],
        'started 4° to the pull side, hooked 9°, low; struck fat, low point 4 cm behind the ball',
    ],
    [[2.0, 12.0, 'normal', 'top'], 'started 2° to the push side, sliced 12°, normal; topped'],
    [
        [2.0, -3.0, 'normal', 'toe', 0.0],
        'started 2° to the push side, drew 3°, normal; struck toe, low point 0 cm ahead of the ball',
    ],
]);
