<?php

use Symfony\Component\Process\Process;

/** @return array{int, string} exit code, and everything printed */
function script(array $command, array $env = []): array
{
    $process = new Process($command, base_path(), $env, null, 60);
    $process->run();

    return [$process->getExitCode(), $process->getOutput().$process->getErrorOutput()];
}

it('refuses options it does not know, saying how it is used', function (array $command, string $says) {
    [$exit, $said] = script($command);
    expect($exit)->toBe(1)->and($said)->toContain('stopped:')->toContain($says);
})->with([
    [['bin/start', '--prot=8081'], 'unknown option --prot=8081'],
    [['bin/start', '--sample', '--empty'], 'the invented academy; it cannot be empty'],
    [['bin/start', '--fresh'], 'say --yes as well when nobody can be asked'],
    [['bin/start', '--port=web'], "--port wants a number, got 'web'"],
    [['bin/test', 'everything'], 'Usage: bin/test [core|serve|studies]'],
]);

it('names a port that is taken and changes nothing', function () {
    $taken = stream_socket_server('tcp://127.0.0.1:0');
    $port = substr(strrchr(stream_socket_get_name($taken, false), ':'), 1);
    $copy = sys_get_temp_dir().'/vc-'.bin2hex(random_bytes(4));
    // A copy of its own, so that a running server of this folder is none of its business.
    mkdir("$copy/storage", 0777, true);
    foreach (
        [
            'bin',
            'vendor',
            'artisan',
            'bootstrap',
            'app',
            'core',
            'config',
            'routes',
            'database',
            'public',
            'resources',
            'composer.json',
            '.env.example',
        ] as $part
    ) {
        symlink(base_path($part), "$copy/$part");
    }
    unlink("$copy/bin");
    script(['cp', '-r', base_path('bin'), "$copy/bin"]);
    $process = new Process(["$copy/bin/start", "--port=$port"], $copy, null, null, 60);
    $process->run();
    $said = $process->getOutput().$process->getErrorOutput();
    fclose($taken);
    script(['rm', '-rf', $copy]);
    expect($process->getExitCode())
        ->toBe(1)
        ->and($said)
        ->toContain("port $port is taken by another program")
        ->toContain('Nothing was changed.')
        ->not->toContain('cluster');
});

it('prints how it is used', function () {
    [$exit, $said] = script(['bin/start', '--help']);
    expect($exit)->toBe(0)->and($said)->toContain('--port')->toContain('--fresh')->toContain('--detach');
});

it('is sound shell, and every script can be run', function () {
    foreach (
        ['bin/start', 'bin/stop', 'bin/test', 'bin/bench', 'bin/screenshots', '.ci/run', 'bin/lib/common.sh'] as $file
    ) {
        [$exit, $said] = script(['bash', '-n', $file]);
        expect($exit)
            ->toBe(0, "$file: $said")
            ->and(str_ends_with($file, '.sh') || is_executable(base_path($file)))
            ->toBeTrue($file);
    }
});

it('has its web server for people hand out all that lies in public beside the pages', function () {
    $written = (string) file_get_contents(base_path('bin/lib/serve.sh'));
    preg_match('#location ~ \^/\(\?:([\w|]+)\)/ \{#', $written, $folders);
    preg_match('#location ~ \^/\(\?:([\w|.\\\\]+)\)\\\\\$ \{#', $written, $files);
    $files = explode('|', str_replace('\\', '', $files[1]));
    foreach (array_diff(scandir(public_path()), ['.', '..', 'index.php', 'down.html']) as $there) {
        expect($there)->toBeIn(is_dir(public_path($there)) ? explode('|', $folders[1]) : $files);
    }
    expect($folders[1])->toContain('looks');
});

it('ships every font, style and script it asks for', function () {
    $asked = [];
    foreach (
        [
            ...glob(resource_path('views/*.blade.php')),
            ...glob(resource_path('views/*/*.blade.php')),
            ...glob(resource_path('views/*/*/*.blade.php')),
            ...glob(public_path('css/*.css')),
            ...glob(public_path('js/*.js')),
            ...glob(public_path('js/*/*.js')),
        ] as $file
    ) {
        $source = (string) file_get_contents($file);
        preg_match_all('#@part\(\'((?:vendor|css|js)/[\w./-]+)\'\)#', $source, $parts);
        // What a style or a script asks for beside itself.
        preg_match_all('#(?:url\(|from |import\()\'(\.\.?/[\w./-]+)\'#', $source, $beside);
        $from = fn (string $path): string => dirname(substr($file, strlen(public_path()) + 1))."/$path";
        $asked = [...$asked, ...$parts[1], ...array_map($from, $beside[1])];
        // What lies beneath no release is asked for again at every visit.
        expect($source)->not->toMatch('#(src|href|from|url)[ =(]+["\']/(vendor|css|js)/#', $file);
        expect((string) file_get_contents($file))->not->toMatch('#(src|href|url)\s*[=(]\s*["\']?https?://#', $file);
    }
    expect(count(array_unique($asked)))->toBeGreaterThan(40);
    foreach (array_unique($asked) as $path) {
        expect(is_file(public_path($path)))->toBeTrue($path);
    }
    foreach (['bulma', 'uplot', 'font'] as $package) {
        expect(is_file(public_path("vendor/$package/LICENSE")))->toBeTrue();
    }
});
