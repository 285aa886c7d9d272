<?php

$rooms = [
    'Number',
    'Remark',
    'Chance',
    'Trace',
    'Motion',
    'Film',
    'Measurement',
    'Codebook',
    'Reading',
    'Sight',
    'Consensus',
    'Agreement',
    'Training',
    'Planning',
];

/** @return array<string, list<string>> by file, the Core rooms and other namespaces it uses */
function usesOf(string $directory): array
{
    $out = [];
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator($directory, FilesystemIterator::SKIP_DOTS)) as $file
    ) {
        if ($file->getExtension() === 'php') {
            preg_match_all(
                '/\\\\?\b((?:Core|App|Illuminate|Symfony|Database)\\\\[A-Za-z\\\\0-9]+)/',
                (string) file_get_contents($file->getPathname()),
                $m,
            );
            $out[$file->getPathname()] = array_values(array_unique($m[1]));
        }
    }

    return $out;
}

it('keeps the core free of the framework and of the application', function () {
    foreach (usesOf(dirname(__DIR__, 2).'/core') as $file => $uses) {
        foreach ($uses as $use) {
            expect($use)->toStartWith('Core\\', $file);
        }
    }
});

it('lets a room of the core depend only on rooms before it', function () use ($rooms) {
    $core = dirname(__DIR__, 2).'/core';
    foreach ($rooms as $i => $room) {
        if (! is_dir("$core/$room")) {
            continue;
        }
        foreach (usesOf("$core/$room") as $file => $uses) {
            foreach ($uses as $use) {
                $other = explode('\\', $use)[1];
                $at = array_search($other, $rooms, true);
                if (in_array($other, ['CoreException', 'Version'], true)) {
                    continue;
                }
                expect($at)->not->toBeFalse("$file uses $use, which stands beside the rooms");
                expect($at)->toBeLessThanOrEqual($i, "$file uses $use, a later room");
            }
        }
    }
});

it('has strict types, final or readonly classes and no clock, I/O or global chance in the core', function () {
    foreach (array_keys(usesOf(dirname(__DIR__, 2).'/core')) as $file) {
        $code = (string) file_get_contents($file);
        expect(str_contains($code, 'declare(strict_types=1);'))->toBeTrue($file);
        expect($code)
            ->not->toMatch(
                '/(?<!->)(?<!function '
                    .')\b(microtime|time|date|mt_rand|rand|random_int|random_bytes|file_get_contents|fopen|getenv|echo|print|var_dump)\s*\(/',
                $file,
            )
            ->not->toMatch('/\bnew \\\\?DateTime/', $file);
        if (preg_match('/^(abstract )?class /m', $code) === 1) {
            expect(basename($file))->toBe('CoreException.php');
        }
    }
});

it('decides in one room what may be seen', function () {
    foreach (['app/Policies', 'app/Queries', 'app/Http', 'resources/views'] as $directory) {
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/'.$directory, FilesystemIterator::SKIP_DOTS),
            ) as $file
        ) {
            $code = (string) file_get_contents($file->getPathname());
            // Consent, seats and hand-ins are facts for Core\\Sight; nobody else weighs them to show or hide.
            expect(preg_match('/isConsenting|viewableBy|awaitsABlind|comesTooSoon|->isValid\(\)/', $code))->toBe(
                0,
                $file->getPathname(),
            );
        }
    }
});

arch('actions do one thing')
    ->expect('App\Actions')
    ->toBeFinal()
    ->ignoring(['App\Actions\ActionException', 'App\Actions\StaleSheet']);
arch('models stay models')
    ->expect('App\Models')
    ->toExtend('Illuminate\Database\Eloquent\Model')
    ->ignoring('App\Models\User');
arch('no debugging is left behind')
    ->expect(['dd', 'dump', 'var_dump', 'ray', 'die'])
    ->not->toBeUsed();
arch('controllers are final')
    ->expect('App\Http\Controllers')
    ->classes()
    ->toBeFinal()
    ->ignoring('App\Http\Controllers\Controller');

it('keeps source files to a size one can read', function () {
    foreach (['core', 'app', 'public/js'] as $directory) {
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/'.$directory, FilesystemIterator::SKIP_DOTS),
            ) as $file
        ) {
            expect(count((array) file($file->getPathname())))->toBeLessThanOrEqual(330, $file->getPathname());
        }
    }
});

it('says lead and trail, never left and right, in the words people read', function () {
    foreach (
        glob(dirname(__DIR__, 2).'/resources/views/**/*.blade.php') +
            glob(dirname(__DIR__, 2).'/resources/views/*.blade.php') as $view
    ) {
        $text = strip_tags(
            (string) preg_replace(
                ['/\{\{.*?\}\}/s', '/@\w+\s*\(.*?\)\)?/s', '/style="[^"]*"/', '/@php.*?@endphp/s'],
                '',
                (string) file_get_contents($view),
            ),
        );
        expect($text)
            ->not->toMatch('/\b(left|right) (foot|hip|heel|knee|side)\b/i', $view)
            ->not->toMatch('/\bweight(ed|ing)?\b(?! of| %)/i', $view);
    }
});
