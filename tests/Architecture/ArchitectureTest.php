<?php

// Every room of the core, in the order in which they stand on one another.
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
    'Planning',
    'Training',
    'Prescription',
    'Drawing',
    'Format',
    'Simulation',
];

// Every area of the application: first what all of them stand on, then the areas in the order of work, then what puts
// them together.
$areas = [
    'Exceptions',
    'Time',
    'Models',
    'Audit',
    'Film',
    'Words',
    'Sight',
    'Http',
    'Undo',
    'Works',
    'Academy',
    'Codebook',
    'Shelf',
    'Capture',
    'Bench',
    'Panel',
    'Sittings',
    'Agreement',
    'Notices',
    'Debrief',
    'Report',
    'Practice',
    'Readiness',
    'Lessons',
    'Search',
    'Today',
    'Operations',
    'Demo',
    'Console',
    'Providers',
];

// What an area may hold: a layer uses those named for it, the area's own classes, and nothing that is not named.
$layers = [
    'Pages' => ['Pages'],
    'Actions' => ['Actions', 'Events'],
    'Events' => [],
    'Policies' => [],
    'Jobs' => ['Actions', 'Jobs'],
    'Http' => ['Pages', 'Actions', 'Http'],
];

/** @return array<string, list<string>> by file, the Core rooms and other namespaces it uses */
function usesOf(string $directory): array
{
    $out = [];
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator($directory,
            FilesystemIterator::SKIP_DOTS)) as $file
    ) {
        if ($file->getExtension() === 'php') {
            preg_match_all(
                '/\\\\?\b((?:Core|App|Illuminate|Symfony|Database)\\\\[A-Za-z\\\\0-9]+)/',
                str_replace('\\\\', '\\', (string) file_get_contents($file->getPathname())),
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

it('knows every room of the core, and lets it depend only on rooms before it', function () use ($rooms) {
    $core = dirname(__DIR__, 2).'/core';
    expect(array_map(basename(...), glob("$core/*", GLOB_ONLYDIR) ?: []))->toEqualCanonicalizing($rooms);
    foreach ($rooms as $i => $room) {
        foreach (usesOf("$core/$room") as $file => $uses) {
            foreach ($uses as $use) {
                $other = explode('\\', $use)[1];
                if (in_array($other, ['CoreException', 'Version'], true)) {
                    continue;
                }
                $at = array_search($other, $rooms, true);
                expect($at)->not->toBeFalse("$file uses $use, which stands beside the rooms");
                expect($at)->toBeLessThanOrEqual($i, "$file uses $use, a later room");
            }
        }
    }
});

it('lets a part of Agreement stand only on parts before it', function () {
    $parts = ['Resampling', 'Coefficient', 'Profile', 'Study'];
    $room = dirname(__DIR__, 2).'/core/Agreement';
    expect(array_map(basename(...), glob("$room/*", GLOB_ONLYDIR) ?: []))->toEqualCanonicalizing($parts);
    foreach (usesOf($room) as $file => $uses) {
        $at = array_search(basename(dirname($file)), $parts, true);
        foreach ($uses as $use) {
            $of = explode('\\', $use);
            if ($of[1] === 'Agreement' && count($of) === 4) {
                expect(array_search($of[2], $parts, true))->toBeLessThanOrEqual(
                    $at === false ? -1 : $at,
                    "$file uses $use",
                );
            }
        }
    }
});

it('knows every area of the application, and lets it depend only on areas before it', function () use ($areas) {
    $app = dirname(__DIR__, 2).'/app';
    expect(array_map(basename(...), glob("$app/*") ?: []))->toEqualCanonicalizing($areas);
    foreach ($areas as $i => $area) {
        foreach (usesOf("$app/$area") as $file => $uses) {
            foreach ($uses as $use) {
                $at = str_starts_with($use, 'App\\') ? array_search(explode('\\', $use)[1], $areas, true) : 0;
                expect($at)->not->toBeFalse("$file uses $use, which stands beside the areas");
                expect($at)->toBeLessThanOrEqual($i, "$file uses $use, of a later area");
            }
        }
    }
});

it('keeps what shows and what changes apart', function () use ($areas, $layers) {
    foreach (array_diff($areas, ['Models', 'Console', 'Http']) as $area) {
        foreach (usesOf(dirname(__DIR__, 2)."/app/$area") as $file => $uses) {
            $layer = explode('/', explode("/app/$area/", $file)[1])[0];
            if (str_ends_with($layer, '.php')) {
                // The area's own classes are for every layer, and stand on none; these put everything together.
                $layer = in_array($area, ['Providers', 'Demo', 'Works'], true) ? null : 'own';
            }
            if ($layer === null) {
                continue;
            }
            expect($layer)->toBeIn([...array_keys($layers), 'own'], "$file lies in a layer nobody knows");
            foreach ($uses as $use) {
                $of = explode('\\', $use);
                if ($of[0] === 'App' && count($of) === 4 && ! in_array($of[1], ['Models', 'Http'], true)) {
                    expect($of[2])->toBeIn($layers[$layer] ?? [], "$file uses $use");
                }
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
                '/(?<!->)(?<!function '.
                    ')\b(microtime|time|date|mt_rand|rand|random_int|random_bytes|file_get_contents|fopen|getenv|echo|print|var_dump)\s*\(/',
                $file,
            )
            ->not->toMatch('/\bnew \\\\?DateTime/', $file);
        if (preg_match('/^(abstract )?class /m', $code) === 1) {
            expect(basename($file))->toBe('CoreException.php');
        }
    }
});

it('decides in one room what may be seen', function () {
    foreach (
        [
            ...glob(dirname(__DIR__, 2).'/app/*/{Policies,Pages,Http}', GLOB_BRACE) ?: [],
            dirname(__DIR__, 2).'/resources/views',
        ] as $directory
    ) {
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator($directory, FilesystemIterator::SKIP_DOTS),
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

it('has one class for one use case, one page and one policy, closed to heirs', function () {
    $app = dirname(__DIR__, 2).'/app';
    foreach (glob("$app/*/{Actions,Pages,Policies,Http,Jobs}/*.php", GLOB_BRACE) ?: [] as $file) {
        expect((string) file_get_contents($file))->toMatch(
            '/^(final (readonly )?class|enum|interface|trait) /m',
            $file,
        );
    }
});
arch('models stay models')
    ->expect('App\Models')
    ->toExtend('Illuminate\Database\Eloquent\Model')
    ->ignoring(
        ['App\Models\User', 'App\Models\BootsByName', 'App\Models\RowJson', 'App\Models\Casts', 'App\Models\Enums'],
    );
arch('no debugging is left behind')
    ->expect(['dd', 'dump', 'var_dump', 'ray', 'die'])
    ->not->toBeUsed();
it('has no two helpers of tests with one name: run side by side, a process loads the files of others', function () {
    $found = [];
    foreach (new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator(dirname(__DIR__), FilesystemIterator::SKIP_DOTS),
    ) as $file) {
        if ($file->getExtension() === 'php') {
            preg_match_all('/^(?:function|const) (\w+)/m', (string) file_get_contents($file->getPathname()), $names);
            foreach ($names[1] as $name) {
                $found[$name][] = $file->getFilename();
            }
        }
    }
    expect(count($found))->toBeGreaterThan(200)
        ->and(array_filter($found, static fn (array $files): bool => count($files) > 1))->toBe([]);
});
it('has no file of tests that holds none', function () {
    $tests = new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator(dirname(__DIR__), FilesystemIterator::SKIP_DOTS),
    );
    $count = 0;
    foreach ($tests as $file) {
        if (preg_match('/(Test\.php|\.(spec|test)\.mjs)$/', $file->getFilename()) === 1) {
            $count++;
            expect((string) file_get_contents($file->getPathname()))
                ->toMatch('/^\s*(it|test|arch)\(/m', $file->getPathname());
        }
    }
    expect($count)->toBeGreaterThan(200);
});

it('keeps source files to a size one can read', function () {
    // Only ever shorter: what is still too long.
    $long = ['Measure.php', 'Score.php', 'LegMeter.php', 'LoadDemo.php', 'Study.php'];
    foreach (['core', 'app', 'public/js'] as $directory) {
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/'.$directory, FilesystemIterator::SKIP_DOTS),
            ) as $file
        ) {
            $most = in_array($file->getFilename(), $long, true) ? 600 : 400;
            expect(count((array) file($file->getPathname())))->toBeLessThanOrEqual($most, $file->getPathname());
        }
    }
});

it('says lead and trail, never left and right, in the words people read', function () {
    $words = [];
    foreach (glob(dirname(__DIR__, 2).'/lang/en/*.php') ?: [] as $file) {
        $lines = require $file;
        array_walk_recursive($lines, function (mixed $line) use (&$words, $file): void {
            $words[basename($file).": $line"] = (string) $line;
        });
    }
    expect(count($words))->toBeGreaterThan(1000);
    foreach ($words as $where => $line) {
        expect($line)
            ->not->toMatch('/\b(left|right) (foot|hip|heel|knee|side)\b/i', $where)
            ->not->toMatch('/(?<!body )(?<!share-)\bweight(ed|ing)?\b(?! of| %)/i', $where);
    }
});

it('has no words of a command line in the core', function () {
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/core')) as $file
    ) {
        if ($file->getExtension() === 'php') {
            $text = (string) file_get_contents($file->getPathname());
            expect($text)->not->toMatch('/[\'" ]--[a-z]/', $file->getPathname());
        }
    }
});

it('prints in views what lang/ says: a view has no words of its own', function () {
    $root = dirname(__DIR__, 2).'/resources/views';
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root)) as $file) {
        if (! str_ends_with($file->getPathname(), '.blade.php')) {
            continue;
        }
        $text = strip_tags((string) preg_replace(
            [
                '/\{\{--.*?--\}\}|\{\{.*?\}\}|\{!!.*?!!\}/s',
                '/@\w+\s*(\((?:[^()]++|(?1))*\))?/s',
                '#<(script|style|kbd|pre)\b.*?</\1>#s',
                '/\s[:@\w-]+="[^"]*"/s',
            ],
            '',
            (string) file_get_contents($file->getPathname()),
        ));
        // Two words in a row are a sentence's beginning; signs, units and symbols are not.
        expect($text)->not->toMatch('/[A-Za-z]{3,} [a-z]{2,}/', $file->getPathname());
    }
});

it('names in its maps only what is there', function () {
    $root = dirname(__DIR__, 2);
    foreach (['docs/architecture.md', 'docs/development.md', 'README.md'] as $map) {
        preg_match_all(
            '#[`(]((?:app|core|lang|public|resources|routes|tests|docs|bin|database)/[A-Za-z0-9_./-]+)[`)\s]#',
            (string) file_get_contents("$root/$map"),
            $paths,
        );
        foreach (array_unique($paths[1]) as $path) {
            expect(glob("$root/$path*"))->not->toBeEmpty("$map speaks of $path");
        }
    }
});

it('says nothing in sentences in core: words are codes there, but for what the codebook teaches', function () {
    $parser = (new PhpParser\ParserFactory)->createForNewestSupportedVersion();
    $said = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/core')) as $file) {
        if ($file->getExtension() !== 'php' || str_starts_with($file->getFilename(), 'Standard')) {
            continue;
        }
        $found = (new PhpParser\NodeFinder)->find(
            (array) $parser->parse((string) file_get_contents($file->getPathname())),
            fn (PhpParser\Node $n): bool => $n instanceof PhpParser\Node\Scalar\String_
                || $n instanceof PhpParser\Node\InterpolatedStringPart,
        );
        foreach ($found as $text) {
            // Four words in a row, or two and a full stop; units, names of bands and stored values are shorter.
            if (preg_match('/([a-z’]+,? ){3}[a-z’]+|[a-z]+ [a-z ]+\.$/i', $text->value) === 1) {
                $said[] = "{$file->getFilename()}: $text->value";
            }
        }
    }
    // Names of figures, values that rows hold, what only developers read.
    $names = '/^(Coverage|ScaleCoverage)|^Signal|^Measured.php: Neither/';
    expect(preg_grep($names, $said, PREG_GREP_INVERT))->toBe([]);
});
