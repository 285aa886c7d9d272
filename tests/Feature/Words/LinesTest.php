<?php

use Illuminate\Support\Facades\Lang;

it('has every line that a page, an action or a view asks for by name', function () {
    $asked = 0;
    foreach (['app', 'resources/views', 'core'] as $root) {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path($root),
            FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            $text = (string) file_get_contents($file->getPathname());
            // Only names that stand there whole; what is put together from a code is asked for where that code is
            // known.
            preg_match_all(
                '/(?:__|trans_choice|@lang)\(\s*\'([a-z][a-z0-9_-]*(?:\.[a-z0-9_-]+)+)\'\s*[,)]/',
                $text,
                $found,
            );
            foreach (array_unique($found[1]) as $line) {
                expect(Lang::has($line))->toBeTrue("{$file->getPathname()} asks for $line");
                $asked++;
            }
        }
    }
    expect($asked)->toBeGreaterThan(800);
});
