<?php

use Core\Agreement\Figure;
use Core\Agreement\Undefined;
use Illuminate\Support\Facades\Process;

/** @return list<string> what the scripts set, as they set it */
function jitFlags(): array
{
    $set = (string) file_get_contents(base_path('bin/lib/jit.sh'));
    preg_match_all('/-d (opcache\.[a-z_]+=\w+)/', $set, $found);
    expect(count($found[1]))->toBeGreaterThan(3);

    return array_merge(...array_map(static fn (string $one): array => ['-d', $one], $found[1]));
}

/** @return array{string, string} all figures of the corpus, and whether the JIT was on */
function corpus(string $jit, int $order): array
{
    $library = extension_loaded('Zend OPcache') ? [] : ['-d', 'zend_extension=opcache'];
    $run = Process::timeout(240)->run([
        PHP_BINARY,
        ...$library,
        ...jitFlags(),
        '-d',
        "opcache.jit=$jit",
        '-d',
        'memory_limit=512M',
        base_path('tests/Feature/Console/corpus.php'),
        (string) $order,
        (string) many(40, 100),
    ]);
    expect($run->successful())->toBeTrue($run->errorOutput().substr($run->output(), 0, 2000));

    return explode("\n", trim($run->output()));
}

it('gives the same bytes with the JIT on and off, whatever ran before', function () {
    [$plain, $how] = corpus('disable', 0);
    expect($how)->toBe('plain')->and(strlen($plain))->toBeGreaterThan(200_000);
    foreach ([0, 1] as $order) {
        [$fast, $how] = corpus('tracing', $order);
        expect($how)->toBe('jit')->and($fast === $plain)->toBeTrue("order $order");
    }
})->group('study');

it('lets no figure stand that is not finite', function () {
    foreach ([NAN, INF, -INF] as $v) {
        expect(Figure::estimated($v, 0.1, 0.0, 1.0, 'x'))
            ->toEqual(Figure::undefined(Undefined::NotFinite))
            ->and(Figure::around($v, 0.1, 2.0, 'x')->estimate)
            ->toBeNull()
            ->and(publishedFigure(Figure::estimated(0.5, $v, 0.0, 1.0, 'x')))
            ->toBe(['estimate' => 0.5, 'se' => null, 'low' => null, 'high' => null, 'method' => 'no finite interval'])
            ->and(Figure::estimated(0.5, 0.1, 0.0, 1.0, 'x')->within($v, 1.0, 'y')->low)
            ->toBeNull();
    }
});
