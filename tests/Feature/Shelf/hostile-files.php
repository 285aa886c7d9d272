<?php

// Files that nobody means well with, or that an instrument made at its worst: by kind, as many of each as are asked
// for.

use Core\Chance\Chance;
use Core\Format\TraceCsv;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;

/** @param  callable(int, Chance): string  $cell */
function hostileTable(int $rows, array $header, callable $cell, Chance $chance): string
{
    $out = implode(',', $header)."\n";
    for ($i = 0; $i < $rows; $i++) {
        $line = [];
        foreach ($header as $n => $_) {
            $line[] = $n === 0 ? sprintf('%.4f', $i / 1000) : $cell($i, $chance);
        }
        $out .= implode(',', $line)."\n";
    }

    return $out;
}

const MAT_HEADER = ['t_s', 'lead_pct', 'trail_pct', 'copx_mm', 'copy_mm'];

const DUAL_HEADER = ['t_s', 'lead_fx_n', 'lead_fy_n', 'lead_fz_n', 'lead_mz_nm', 'lead_copx_mm', 'lead_copy_mm',
    'trail_fx_n', 'trail_fy_n', 'trail_fz_n', 'trail_mz_nm', 'trail_copx_mm', 'trail_copy_mm'];

/** @return array<string, callable(Chance): array{string, string}> what makes a file's name and bytes, by kind */
function hostileFileKinds(): array
{
    $good = static function (): string {
        static $made = null;

        return $made ??= TraceCsv::write(
            Swing::simulated(new GolferSpec('hostile', new Plant([]), device: DeviceClass::Mat))->trace,
        );
    };

    return [
        'noise in every channel' => static fn (Chance $c): array => ['noise.csv', hostileTable(
            $c->between(1000, 3000), DUAL_HEADER,
            static fn (int $i, Chance $c): string => sprintf('%.3f', 500 * $c->normal()), $c,
        )],
        'noise about a stance' => static fn (Chance $c): array => ['stance.csv', hostileTable(
            $c->between(4000, 6000), DUAL_HEADER,
            static fn (int $i, Chance $c): string => sprintf('%.3f', 400 + 150 * $c->normal()), $c,
        )],
        'a hundred strikes' => static fn (Chance $c): array => ['strikes.csv', hostileTable(
            20_000, DUAL_HEADER,
            static fn (int $i, Chance $c): string => sprintf('%.2f', 400 + 350 * sin($i / 40) + 5 * $c->normal()), $c,
        )],
        'square waves' => static fn (Chance $c): array => ['square.csv', hostileTable(
            $c->between(1000, 8000), DUAL_HEADER, static fn (int $i): string => $i % 2 === 0 ? '0' : '800', $c,
        )],
        'one value' => static fn (Chance $c): array => [
            'flat.csv',
            hostileTable(6000, DUAL_HEADER, static fn (): string => '400', $c),
        ],
        'huge values' => static fn (Chance $c): array => ['huge.csv', hostileTable(
            500, DUAL_HEADER, static fn (int $i, Chance $c): string => ['1e308', '-1e308', '1e-320', 'NaN', 'INF', '9e999'][$c->between(0, 5)], $c,
        )],
        'two minutes of twelve channels' => static fn (Chance $c): array => ['long.csv', hostileTable(
            120_000, DUAL_HEADER, static fn (int $i): string => (string) (400 + $i % 97), $c,
        )],
        'a good take of five seconds at a thousand a second' => static fn (Chance $c): array => ['five.csv', TraceCsv::write(
            Swing::simulated(new GolferSpec('five', new Plant([]), device: DeviceClass::DualPlate))->trace,
        )],
        'a good take in noise' => static fn (Chance $c): array => ['noisy-take.csv', preg_replace_callback(
            '/,(-?[0-9.]+)/',
            static fn (array $m): string => sprintf(',%.1f', (float) $m[1] + 60 * $c->normal()),
            TraceCsv::write(
                Swing::simulated(new GolferSpec('noisy', new Plant([]), device: DeviceClass::DualPlate))->trace,
            ),
        )],
        'a thousand columns' => static fn (Chance $c): array => ['wide.csv', hostileTable(
            200, array_map(static fn (int $i): string => "c$i", range(0, 999)), static fn (): string => '1.0', $c,
        )],
        'a hundred thousand columns' => static fn (Chance $c): array => [
            'wider.csv', str_repeat('a,', 100_000)."\n".str_repeat('1,', 100_000)."\n",
        ],
        'one line without an end' => static fn (Chance $c): array => ['line.csv', str_repeat('1.5;', 500_000)],
        'quotes that never close' => static fn (Chance $c): array => [
            'quotes.csv', "t_s,lead_pct\n\"".str_repeat("x,\n", 200_000),
        ],
        'nothing but separators' => static fn (Chance $c): array => ['commas.csv', str_repeat(",,,,\n", 200_000)],
        'random bytes' => static fn (Chance $c): array => ['bytes.csv', random_text($c, $c->between(10, 200_000))],
        'a good file with bytes changed' => static fn (Chance $c): array => [
            'flipped.csv', flipped($good(), $c, $c->between(1, 200)),
        ],
        'a good file cut off' => static fn (Chance $c): array => [
            'cut.csv', substr($good(), 0, $c->between(1, strlen($good()))),
        ],
        'time that runs back' => static fn (Chance $c): array => ['back.csv', implode("\n", [
            implode(',', MAT_HEADER),
            ...array_map(static fn (int $i): string => sprintf('%.3f,50,50,0,0', (5000 - $i) / 1000), range(0, 5000)),
        ])],
        'time of every scale' => static fn (Chance $c): array => ['scales.csv', implode("\n", [
            implode(',', MAT_HEADER),
            ...array_map(static fn (int $i): string => sprintf('%.9e,50,50,0,0', 10 ** ($i % 40 - 20)), range(0, 3000)),
        ])],
        'C3D of random bytes' => static fn (Chance $c): array => [
            'bytes.c3d', "\x02\x50".random_text($c, $c->between(510, 100_000)),
        ],
        'C3D that promises more than it holds' => static fn (Chance $c): array => [
            'promise.c3d',
            pack('CCv*', 2, 0x50, 0xFFFF, 0xFFFF, 1, 0xFFFF, 0xFFFF, 0, 0, 2, 0xFFFF).str_repeat("\0", 1024),
        ],
        'JSON of brackets' => static fn (Chance $c): array => ['deep.json', str_repeat('[', 100_000)],
        'JSON of one long list' => static fn (Chance $c): array => [
            'list.json', '{"channels":{"t_s":['.implode(',', range(1, 200_000)).']}}',
        ],
        'an image' => static fn (Chance $c): array => ['shot.csv', "\x89PNG\r\n\x1a\n".random_text($c, 5000)],
        'a page' => static fn (Chance $c): array => [
            'page.csv', '<html><script>alert(1)</script>'.str_repeat('<td>1</td>', 5000),
        ],
        'UTF-16' => static fn (Chance $c): array => ['wide-chars.csv', mb_convert_encoding($good(), 'UTF-16')],
        'NULs' => static fn (Chance $c): array => ['nul.csv', str_repeat("\0", 300_000)],
        'a zip that is small' => static fn (Chance $c): array => [
            'bomb.zip',
            zipOf(['swing.json' => str_repeat('0', 50_000_000)]),
        ],
    ];
}

function random_text(Chance $chance, int $bytes): string
{
    $out = '';
    while (strlen($out) < $bytes) {
        $out .= hash('sha512', (string) $chance->uniform(), true);
    }

    return substr($out, 0, $bytes);
}

function flipped(string $bytes, Chance $chance, int $times): string
{
    for ($i = 0; $i < $times; $i++) {
        $bytes[$chance->between(0, strlen($bytes) - 1)] = chr($chance->between(0, 255));
    }

    return $bytes;
}

/** @param  array<string, string>  $entries */
function zipOf(array $entries): string
{
    $path = tempnam(sys_get_temp_dir(), 'zip');
    $zip = new ZipArchive;
    $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
    foreach ($entries as $name => $bytes) {
        $zip->addFromString($name, $bytes);
    }
    $zip->close();
    $bytes = (string) file_get_contents($path);
    unlink($path);

    return $bytes;
}
