<?php

declare(strict_types=1);

namespace Core\Format\C3d;

use Core\Format\FormatException;

/**
 * Reads C3D: header, parameters, points and analog samples, in the three byte orders, as integers or as floats
 * (The C3D File Format, user guide, 2021). Nothing in the file is believed before it is checked against the
 * file's own length, so a header that lies costs an error and no memory.
 */
final class C3dReader
{
    private const BLOCK = 512;

    private const LARGEST = 64 * 1024 * 1024;

    private const MOST_POINTS = 400;

    private const MOST_CHANNELS = 256;

    private const MOST_VALUES = 12_000_000;

    private C3dNumbers $numbers;

    /** @var array<string, array<string, array{dimensions: list<int>, values: list<int|float|string>}>> */
    private array $parameters = [];

    private function __construct(private readonly string $bytes, private readonly string $file)
    {
    }

    /** @throws FormatException naming the file and what is wrong in it */
    public static function read(string $bytes, string $file): C3dFile
    {
        return (new self($bytes, $file))->parse();
    }

    /** @throws FormatException */
    private function parse(): C3dFile
    {
        $length = strlen($this->bytes);
        if ($length > self::LARGEST) {
            throw $this->wrong('large');
        }
        if ($length < 2 * self::BLOCK || ord($this->bytes[1]) !== 0x50) {
            throw $this->wrong('no-c3d');
        }
        $start = (ord($this->bytes[0]) - 1) * self::BLOCK;
        if ($start < self::BLOCK || $start + 4 > $length) {
            throw $this->wrong('parameters-outside');
        }
        $processor = ord($this->bytes[$start + 3]);
        $this->numbers =
            C3dNumbers::tryFrom($processor) ??
            throw $this->wrong('processor', type: $processor);
        $this->readParameters($start + 4, min($length, $start + max(1, ord($this->bytes[$start + 2])) * self::BLOCK));

        $head = $this->numbers->integers(substr($this->bytes, 2, 22), true);
        [$points, $perFrame, $first, $last] = [$head[0], $head[1], $head[2], $head[3]];
        [$scale, $rate] = [
            $this->numbers->floats(substr($this->bytes, 12, 4))[0],
            $this->numbers->floats(substr($this->bytes, 20, 4))[0],
        ];
        $samples = $head[8];
        $points = (int) ($this->value('POINT', 'USED') ?? $points);
        $scale = $this->value('POINT', 'SCALE') ?? $scale;
        $rate = $this->value('POINT', 'RATE') ?? $rate;
        $frames = $this->frames($last - $first + 1);
        $channels = $samples > 0 ? intdiv($perFrame, $samples) : 0;
        if (
            $points < 0 ||
            $points > self::MOST_POINTS ||
            $channels > self::MOST_CHANNELS ||
            $samples > 200 ||
            $frames < 1
        ) {
            throw $this->wrong(
                'header-sizes',
                points: $points,
                channels: $channels,
                samples: $samples,
                frames: $frames,
            );
        }
        if (! is_finite($rate) || $rate < 1.0 || $rate > 5000.0 || ! is_finite($scale) || $scale === 0.0) {
            throw $this->wrong('rate-or-scale');
        }
        if ($frames * (4 * $points + $channels * $samples) > self::MOST_VALUES) {
            throw $this->wrong('many-values');
        }
        $isFloat = $scale < 0.0;
        $width = $isFloat ? 4 : 2;
        $data = ((int) ($this->value('POINT', 'DATA_START') ?? $head[7]) - 1) * self::BLOCK;
        $need = $frames * (4 * $points + $channels * $samples) * $width;
        if ($data < self::BLOCK || $data + $need > $length) {
            throw $this->wrong(
                'frames-missing',
                told: $frames,
                there: max(0, intdiv($length - $data, max(1, (4 * $points + $channels * $samples) * $width))),
            );
        }

        return $this->data($data, $frames, $points, $channels, $samples, $isFloat, abs($scale), $rate);
    }

    /** @throws FormatException */
    private function data(
        int $at,
        int $frames,
        int $points,
        int $channels,
        int $samples,
        bool $isFloat,
        float $scale,
        float $rate,
    ): C3dFile {
        $labels = $this->labels('POINT', $points);
        $out = array_fill_keys($labels, [[], [], []]);
        $analog = $channels > 0 ? array_fill(1, $channels, []) : [];
        $unsigned =
            strtoupper(trim((string) ($this->parameters['ANALOG']['FORMAT']['values'][0] ?? ''))) === 'UNSIGNED';
        [$gains, $offsets] = $this->analogScales($channels, $unsigned);
        $perFrame = 4 * $points + $channels * $samples;
        $bytes = $perFrame * ($isFloat ? 4 : 2);
        for ($f = 0; $f < $frames; $f++) {
            $frame = substr($this->bytes, $at + $f * $bytes, $bytes);
            $values = $isFloat ? $this->numbers->floats($frame) : $this->numbers->integers($frame);
            foreach ($labels as $p => $label) {
                $seen = $values[4 * $p + 3] >= 0;
                for ($axis = 0; $axis < 3; $axis++) {
                    $v = $values[4 * $p + $axis];
                    $out[$label][$axis][] = $seen && ! is_nan((float) $v) ? ($isFloat ? (float) $v : $v * $scale) : NAN;
                }
            }
            for ($s = 0; $s < $samples; $s++) {
                for ($c = 1; $c <= $channels; $c++) {
                    $raw = $values[4 * $points + $s * $channels + $c - 1];
                    if ($unsigned && ! $isFloat && $raw < 0) {
                        $raw += 65536;
                    }
                    if (is_infinite((float) $raw)) {
                        throw FormatException::in(
                            $this->file,
                            'analog-infinite',
                            c: $c,
                        );
                    }
                    $analog[$c][] = ($raw - $offsets[$c]) * $gains[$c];
                }
            }
        }
        $names = $channels > 0 ? array_combine(range(1, $channels), $this->labels('ANALOG', $channels)) : [];

        /** @var array<string, array{list<float>, list<float>, list<float>}> $out */
        return new C3dFile(
            $rate,
            $out,
            $rate * max(1, $samples),
            $analog,
            $names,
            $this->parameters,
            $this->numbers->integers(substr($this->bytes, 6, 2), true)[0],
        );
    }

    /**
     * @return array{array<int, float>, array<int, float>} factor and offset by channel from 1
     *
     * @throws FormatException
     */
    private function analogScales(int $channels, bool $unsigned): array
    {
        $general = $this->value('ANALOG', 'GEN_SCALE') ?? 1.0;
        $scale = $this->parameters['ANALOG']['SCALE']['values'] ?? [];
        $offset = $this->parameters['ANALOG']['OFFSET']['values'] ?? [];
        $gains = $offsets = [];
        for ($c = 1; $c <= $channels; $c++) {
            $gains[$c] = $general * (float) ($scale[$c - 1] ?? 1.0);
            $offsets[$c] = (float) ($offset[$c - 1] ?? 0.0);
            // Middle of an unsigned range: 32768, which a signed parameter tells as its opposite.
            if ($unsigned && $offsets[$c] < 0.0) {
                $offsets[$c] += 65536.0;
            }
            if (! is_finite($gains[$c]) || ! is_finite($offsets[$c])) {
                throw FormatException::in($this->file, 'analog-scale', c: $c);
            }
        }

        return [$gains, $offsets];
    }

    private function frames(int $byHeader): int
    {
        $long = $this->value('POINT', 'LONG_FRAMES');
        $frames = (int) ($long ?? $this->value('POINT', 'FRAMES') ?? $byHeader);
        // A 16-bit parameter of a long take reads as negative.
        $frames = $frames < 0 ? $frames + 65536 : $frames;

        return $frames === 0 ? $byHeader : $frames;
    }

    private function value(string $group, string $name): ?float
    {
        $v = $this->parameters[$group][$name]['values'][0] ?? null;

        return is_int($v) || is_float($v) ? (float) $v : null;
    }

    /** @return list<string> unique labels, made up where there are none */
    private function labels(string $group, int $count): array
    {
        $all = [];
        foreach (['LABELS', 'LABELS2', 'LABELS3'] as $name) {
            foreach ($this->parameters[$group][$name]['values'] ?? [] as $label) {
                $all[] = trim((string) $label);
            }
        }
        $out = $seen = [];
        for ($i = 0; $i < $count; $i++) {
            $label = ($all[$i] ?? '') === '' ? strtolower($group).($i + 1) : $all[$i];
            while (isset($seen[$label])) {
                $label .= '_';
            }
            $seen[$label] = true;
            $out[] = $label;
        }

        return $out;
    }

    /** @throws FormatException */
    private function readParameters(int $at, int $end): void
    {
        $groups = [];
        $found = [];
        for ($guard = 0; $guard < 2000 && $at + 2 < $end; $guard++) {
            $nameLength = self::signed($this->bytes[$at]);
            $group = self::signed($this->bytes[$at + 1]);
            $nameLength = abs($nameLength);
            if ($nameLength === 0) {
                break;
            }
            $next = $at + 2 + $nameLength;
            if ($next + 2 > $end) {
                throw $this->wrong('parameters-cut');
            }
            $name = strtoupper(trim(substr($this->bytes, $at + 2, $nameLength)));
            $offset = $this->numbers->integers(substr($this->bytes, $next, 2), true)[0];
            if ($group < 0) {
                $groups[-$group] = $name;
            } elseif ($group > 0) {
                $found[] = [$group, $name, $this->parameterData($next + 2, $end, $name)];
            }
            if ($offset === 0) {
                break;
            }
            $at = $next + $offset;
        }
        foreach ($found as [$group, $name, $data]) {
            $this->parameters[$groups[$group] ?? "GROUP$group"][$name] = $data;
        }
    }

    /**
     * @return array{dimensions: list<int>, values: list<int|float|string>}
     *
     * @throws FormatException
     */
    private function parameterData(int $at, int $end, string $name): array
    {
        if ($at + 2 > $end) {
            throw $this->wrong('parameter-cut', name: $name);
        }
        $type = self::signed($this->bytes[$at]);
        $rank = ord($this->bytes[$at + 1]);
        if ($rank > 7 || $at + 2 + $rank > $end || ! in_array($type, [-1, 1, 2, 4], true)) {
            throw $this->wrong('parameter-type', name: $name);
        }
        $dimensions = [];
        $count = 1;
        for ($d = 0; $d < $rank; $d++) {
            $dimensions[] = ord($this->bytes[$at + 2 + $d]);
            $count *= $dimensions[$d];
        }
        $size = abs($type) * $count;
        $start = $at + 2 + $rank;
        if ($start + $size > $end) {
            throw $this->wrong('parameter-beyond', name: $name);
        }
        $bytes = substr($this->bytes, $start, $size);
        if ($type === -1) {
            $width = $dimensions[0] ?? 1;
            $texts = $width === 0 || $bytes === '' ? [] : ($rank < 2 ? [$bytes] : str_split($bytes, $width));

            return [
                'dimensions' => $dimensions,
                'values' => array_map(
                    static fn (string $t): string => (string) preg_replace('/[^\x20-\x7e]/', '', trim($t)),
                    $texts,
                ),
            ];
        }
        $values = match ($type) {
            1 => array_map(ord(...), $bytes === '' ? [] : str_split($bytes)),
            2 => $this->numbers->integers($bytes),
            default => $this->numbers->floats($bytes),
        };

        return ['dimensions' => $dimensions, 'values' => $values];
    }

    private static function signed(string $byte): int
    {
        $v = ord($byte);

        return $v > 127 ? $v - 256 : $v;
    }

    private function wrong(string $why, string|int ...$about): FormatException
    {
        return FormatException::in($this->file, $why, ...$about);
    }
}
