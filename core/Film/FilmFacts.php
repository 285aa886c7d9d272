<?php

declare(strict_types=1);

namespace Core\Film;

use Core\CoreException;

/**
 * What a film file says of itself, read from the JSON that ffprobe prints of its first picture stream
 * (`-show_streams -show_packets`) and held to what a film of one swing can be.
 */
final readonly class FilmFacts
{
    /** Codecs of phones, cameras and browsers; anything else is not a film somebody took of a swing. */
    public const CODECS = ['h264', 'hevc', 'vp8', 'vp9', 'av1', 'mpeg4', 'mjpeg'];

    public const LONGEST_S = 120.0;

    /** Points of all pictures together: two minutes of 1920 by 1080 at 240 a second. */
    private const MOST_POINTS = 60_000_000_000;

    private const WIDEST = 7680;

    private const LEAST_FRAMES = 10;

    /**
     * @param  int  $width  upright, in square pixels
     * @param  int  $height  upright, in square pixels
     * @param  0|90|180|270  $rotation  by which the file asks to be turned, degrees
     * @param  list<float>  $times  of the pictures, s from the first, ascending
     */
    private function __construct(
        public string $codec,
        public int $width,
        public int $height,
        public int $rotation,
        public array $times,
    ) {
    }

    /**
     * @param  array<mixed>  $probe
     *
     * @throws CoreException in a sentence for the person who sent the file
     */
    public static function fromProbe(array $probe): self
    {
        $streams = is_array($probe['streams'] ?? null) ? $probe['streams'] : [];
        $film = null;
        foreach ($streams as $stream) {
            if (is_array($stream) && ($stream['codec_type'] ?? '') === 'video' && ! self::isStill($stream)) {
                $film = $stream;
                break;
            }
        }
        if ($film === null) {
            throw FilmException::because('no-film');
        }
        $codec = is_string($film['codec_name'] ?? null) ? $film['codec_name'] : '';
        if (! in_array($codec, self::CODECS, true)) {
            $plain = (string) preg_replace('/[^a-z0-9_]/i', '', $codec);
            throw FilmException::because($plain === '' ? 'codec-unnamed' : 'codec', codec: $plain);
        }
        $width = self::whole($film['width'] ?? null);
        $height = self::whole($film['height'] ?? null);
        if ($width < 32 || $height < 32 || max($width, $height) > self::WIDEST) {
            throw FilmException::because('size', width: $width, height: $height);
        }
        $times = self::times(
            is_array($probe['packets'] ?? null) ? $probe['packets'] : [],
            self::whole($film['index'] ?? null),
        );
        if (count($times) < self::LEAST_FRAMES) {
            throw FilmException::because(count($times) === 1 ? 'alone' : 'few-pictures', count: count($times));
        }
        $told = self::whole($film['nb_frames'] ?? null);
        if (count($times) < 0.9 * $told && $told < 1_000_000) {
            throw FilmException::because('cut-off', told: $told, times: count($times));
        }
        if (end($times) > self::LONGEST_S) {
            throw FilmException::because(
                'too-long',
                times: sprintf('%.0f', end($times)),
                longest_s: sprintf('%.0f', self::LONGEST_S),
            );
        }
        $rotation = self::rotation($film);
        $points = $width * $height * count($times);
        if ($points > self::MOST_POINTS) {
            throw FilmException::because('too-much', pictures: count($times), width: $width, height: $height);
        }

        $wide = (int) round($width * self::pixelShape($film['sample_aspect_ratio'] ?? null));

        return new self(
            $codec,
            $rotation % 180 === 0 ? $wide : $height,
            $rotation % 180 === 0 ? $height : $wide,
            $rotation,
            $times,
        );
    }

    public function durationS(): float
    {
        return $this->times[count($this->times) - 1];
    }

    /**
     * Whether the pictures stand unevenly in time, as a phone's do: some interval off the usual one by a fifth.
     *
     * @throws CoreException
     */
    public function isUneven(): bool
    {
        $usual = FrameClock::usualInterval($this->times);
        for ($i = 1, $n = count($this->times); $i < $n; $i++) {
            if (abs($this->times[$i] - $this->times[$i - 1] - $usual) > 0.2 * $usual) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<mixed>  $stream */
    private static function isStill(array $stream): bool
    {
        return is_array($stream['disposition'] ?? null) && ($stream['disposition']['attached_pic'] ?? 0) === 1;
    }

    /**
     * @param  array<mixed>  $packets
     * @return list<float>
     */
    private static function times(array $packets, int $index): array
    {
        $out = [];
        foreach ($packets as $packet) {
            if (
                is_array($packet) &&
                self::whole($packet['stream_index'] ?? null) === $index &&
                is_numeric($packet['pts_time'] ?? null) &&
                ! str_contains(is_string($packet['flags'] ?? null) ? $packet['flags'] : '', 'D')
            ) {
                $out[] = (float) $packet['pts_time'];
            }
        }
        sort($out);
        $first = $out[0] ?? 0.0;

        return array_map(static fn (float $t): float => $t - $first, $out);
    }

    /**
     * @param  array<mixed>  $stream
     * @return 0|90|180|270
     */
    private static function rotation(array $stream): int
    {
        $side = is_array($stream['side_data_list'] ?? null) ? $stream['side_data_list'] : [];
        foreach ($side as $data) {
            if (is_array($data) && is_numeric($data['rotation'] ?? null)) {
                return [0, 90, 180, 270][(((int) round((float) $data['rotation'] / 90) % 4) + 4) % 4];
            }
        }

        return 0;
    }

    private static function pixelShape(mixed $ratio): float
    {
        if (
            ! is_string($ratio) ||
            preg_match('/^(\d{1,5}):(\d{1,5})$/', $ratio, $m) !== 1 ||
            $m[1] === '0' ||
            $m[2] === '0'
        ) {
            return 1.0;
        }

        return max(0.25, min(4.0, (float) $m[1] / (float) $m[2]));
    }

    private static function whole(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }
}
