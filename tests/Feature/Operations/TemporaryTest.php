<?php

use App\Operations\TemporaryFiles;
use Illuminate\Support\Facades\File;

it('sweeps what a killed process left, in its own folder and nowhere else', function () {
    $folder = storage_path('framework/temporary-'.getmypid());
    $elsewhere = '/tmp/vc-elsewhere-'.getmypid();
    foreach ([$folder, $elsewhere] as $one) {
        File::makeDirectory($one, 0700, true, true);
        touch("$one/old", time() - 25 * 3600);
        touch("$one/new");
    }
    symlink("$elsewhere/old", "$folder/link");
    symlink($elsewhere, "$folder/link-to-all");
    // Films half joined, pictures half made.
    File::makeDirectory("$folder/vc-films-left");
    touch("$folder/vc-films-left/original");
    touch("$folder/vc-films-left", time() - 25 * 3600);
    File::makeDirectory("$folder/vc-films-at-work");
    try {
        expect(TemporaryFiles::sweep($elsewhere))->toBe(0)
            ->and(TemporaryFiles::sweep($folder))->toBe(2)
            ->and(is_dir("$folder/vc-films-at-work"))->toBeTrue()
            ->and(file_exists("$folder/new"))->toBeTrue()
            ->and(file_exists("$elsewhere/old"))->toBeTrue();
        touch("$folder/old", time() - 25 * 3600);
        expect(TemporaryFiles::sweep($folder))->toBe(0);
    } finally {
        File::deleteDirectory($folder);
        File::deleteDirectory($elsewhere);
    }
});

it('has its temporary files where nobody else looks', function () {
    expect(sys_get_temp_dir())->toBe(storage_path('app/temporary'))
        ->and(decoct(fileperms(storage_path('app/temporary')) & 0777))->toBe('700');
});
