<?php

declare(strict_types=1);

namespace App\Film;

use Core\CoreException;
use Core\Film\Container;
use Core\Film\FilmException;
use Core\Film\FilmFacts;
use Core\Film\FrameClock;
use Illuminate\Contracts\Process\ProcessResult;
use Illuminate\Support\Facades\Process;

/**
 * Debian's ffmpeg and ffprobe, kept on a short lead: only local files, only the reader the file's first bytes ask
 * for, bounded memory, pictures and time. A file that is not a film ends in a CoreException with a sentence.
 */
final readonly class Ffmpeg
{
    /** Address space of one run, bytes. */
    private const MEMORY = 6 * 1024 ** 3;

    private const MOST_PACKETS = 40_000;

    /** Long side of the stream, points. */
    private const LONG_SIDE = 1280;

    /** @throws CoreException */
    public function probe(string $path): FilmFacts
    {
        $run = $this->run(60, [
            'ffprobe',
            '-v',
            'error',
            '-protocol_whitelist',
            'file',
            '-f',
            $this->container($path)->value,
            '-select_streams',
            'V:0',
            '-read_intervals',
            '%+#'.self::MOST_PACKETS,
            '-show_entries',
            'stream=index,codec_type,codec_name,width,height,sample_aspect_ratio,nb_frames:'
                .'stream_disposition=attached_pic:stream_side_data=rotation:packet=stream_index,pts_time,flags',
            '-of',
            'json',
            $path,
        ]);
        $json = json_decode($run->output(), true);
        if (! $run->successful() || ! is_array($json)) {
            throw FilmException::because('unreadable');
        }

        return FilmFacts::fromProbe($json);
    }

    /**
     * Makes the stream: upright, square pixels, constant rate, no sound, nothing of the camera's notes, a key
     * picture every four frames so that any frame is reached at once.
     *
     * @param  callable(float): void  $progress  called with the part done, 0 to 1
     * @return FrameClock the stream's frames and when each was taken
     *
     * @throws CoreException
     */
    public function convert(string $path, FilmFacts $facts, int $slowed, string $target, callable $progress): FrameClock
    {
        $rate = FrameClock::rateFor(array_map(static fn (float $t): float => $t / $slowed, $facts->times));
        $long = self::LONG_SIDE;
        $scale = min(1.0, $long / max($facts->width, $facts->height));
        [$w, $h] = array_map(static fn (int $v): int => max(2, 2 * (int) round(($v * $scale) / 2)), [
            $facts->width,
            $facts->height,
        ]);
        $base = null;
        $times = [];
        $rest = '';
        $run = $this->run(
            900,
            [
                'ffmpeg',
                '-nostdin',
                '-hide_banner',
                '-y',
                '-v',
                'info',
                '-nostats',
                '-protocol_whitelist',
                'file',
                '-max_alloc',
                '536870912',
                '-f',
                $this->container($path)->value,
                '-threads',
                '2',
                '-i',
                $path,
                '-map',
                '0:V:0',
                '-an',
                '-sn',
                '-dn',
                '-map_metadata',
                '-1',
                '-map_chapters',
                '-1',
                '-t',
                (string) (FilmFacts::LONGEST_S + 1.0),
                '-vf',
                sprintf(
                    'setpts=(PTS-STARTPTS)/%d,showinfo=checksum=0,scale=%d:%d,setsar=1,fps=fps=%s:round=near',
                    $slowed,
                    $w,
                    $h,
                    self::fraction($rate),
                ),
                '-frames:v',
                (string) ((int) floor(($facts->durationS() / $slowed) * $rate + 0.5) + 1),
                '-c:v',
                'libx264',
                '-preset',
                'veryfast',
                '-crf',
                '20',
                '-g',
                '4',
                '-bf',
                '0',
                '-pix_fmt',
                'yuv420p',
                '-movflags',
                '+faststart',
                '-fs',
                '800000000',
                '-progress',
                'pipe:1',
                '-f',
                'mp4',
                $target,
            ],
            static function (string $type, string $chunk) use (
                &$base,
                &$times,
                &$rest,
                $facts,
                $slowed,
                $progress,
            ): void {
                if ($type === 'out') {
                    if (preg_match_all('/out_time_us=(\d+)/', $chunk, $m) > 0) {
                        $progress(min(1.0, (((int) end($m[1]) / 1e6) * $slowed) / max(0.001, $facts->durationS())));
                    }

                    return;
                }
                $lines = explode("\n", $rest.$chunk);
                $rest = (string) array_pop($lines);
                foreach ($lines as $line) {
                    if (preg_match('/config in time_base: (\d+)\/(\d+)/', $line, $m) === 1) {
                        $base = (int) $m[1] / max(1, (int) $m[2]);
                    } elseif ($base !== null && preg_match('/showinfo.* n: *\d+ pts: *(-?\d+) /', $line, $m) === 1) {
                        $times[] = (int) $m[1] * $base;
                    }
                }
            },
        );
        if (! $run->successful() || count($times) < 2) {
            throw FilmException::because('undecodable');
        }
        if (count($times) < 0.9 * count($facts->times)) {
            throw FilmException::because('partly-decodable', times: count($times), times2: count($facts->times));
        }

        return FrameClock::fromTimes($times, $rate, $this->countFrames($target));
    }

    /**
     * A stream of ours from one frame to another, encoded anew.
     *
     * @param  int  $fineness  the encoder's constant rate factor
     *
     * @throws CoreException
     */
    public function cut(string $stream, int $first, int $last, float $rate, int $fineness, string $target): void
    {
        $run = $this->run(300, [
            'ffmpeg',
            '-nostdin',
            '-hide_banner',
            '-y',
            '-v',
            'error',
            '-protocol_whitelist',
            'file',
            '-f',
            'mov',
            '-threads',
            '2',
            '-i',
            $stream,
            '-map',
            '0:v:0',
            '-map_metadata',
            '-1',
            '-vf',
            sprintf("select='between(n\\,%d\\,%d)',setpts=N/(%s)/TB", $first, $last, self::fraction($rate)),
            '-r',
            self::fraction($rate),
            '-fps_mode',
            'cfr',
            '-frames:v',
            (string) ($last - $first + 1),
            '-c:v',
            'libx264',
            '-preset',
            'veryfast',
            '-crf',
            (string) $fineness,
            '-g',
            '4',
            '-bf',
            '0',
            '-pix_fmt',
            'yuv420p',
            '-movflags',
            '+faststart',
            '-f',
            'mp4',
            $target,
        ]);
        if (! $run->successful() || $this->countFrames($target) !== $last - $first + 1) {
            throw FilmException::because('not-made-ready');
        }
    }

    /**
     * @param  array<string, int>  $frames  by the name of the still
     * @return array<string, string> bytes of JPEG pictures by name
     */
    public function stills(string $stream, array $frames): array
    {
        if ($frames === []) {
            return [];
        }
        $directory = sys_get_temp_dir().'/stills-'.bin2hex(random_bytes(6));
        mkdir($directory, 0700);
        try {
            $wanted = array_values(array_unique($frames));
            sort($wanted);
            $run = $this->run(120, [
                'ffmpeg',
                '-nostdin',
                '-hide_banner',
                '-v',
                'error',
                '-f',
                'mov',
                '-i',
                $stream,
                '-vf',
                'select='.implode('+', array_map(static fn (int $n): string => "eq(n\\,$n)", $wanted)),
                '-fps_mode',
                'passthrough',
                '-q:v',
                '4',
                "$directory/%d.jpg",
            ]);
            if (! $run->successful()) {
                throw FilmException::because('no-stills');
            }
            $out = [];
            foreach ($frames as $name => $n) {
                $bytes = @file_get_contents("$directory/".((int) array_search($n, $wanted, true) + 1).'.jpg');
                if ($bytes !== false) {
                    $out[$name] = $bytes;
                }
            }

            return $out;
        } finally {
            foreach (glob("$directory/*") ?: [] as $file) {
                unlink($file);
            }
            rmdir($directory);
        }
    }

    /** @return array{int, int} width and height of a stream of ours */
    public function size(string $stream): array
    {
        $run = $this->run(30, [
            'ffprobe',
            '-v',
            'error',
            '-f',
            'mov',
            '-select_streams',
            'v:0',
            '-show_entries',
            'stream=width,height',
            '-of',
            'csv=p=0',
            $stream,
        ]);
        [$w, $h] = array_map(intval(...), explode(',', trim($run->output()).',,'));

        return [$w, $h];
    }

    private function countFrames(string $stream): int
    {
        $run = $this->run(60, [
            'ffprobe',
            '-v',
            'error',
            '-f',
            'mov',
            '-select_streams',
            'v:0',
            '-count_packets',
            '-show_entries',
            'stream=nb_read_packets',
            '-of',
            'csv=p=0',
            $stream,
        ]);

        return (int) trim($run->output());
    }

    private function container(string $path): Container
    {
        $head = (string) file_get_contents($path, length: 16);

        return Container::recognised($head) ??
            throw FilmException::because('not-a-film');
    }

    private static function fraction(float $rate): string
    {
        $whole = round($rate * 1.001);

        return abs($rate * 1.001 - $whole) < 1e-6 ? sprintf('%d/1001', 1000 * $whole) : sprintf('%.3F', $rate);
    }

    /** @param  list<string>  $command */
    private function run(int $seconds, array $command, ?callable $output = null): ProcessResult
    {
        $run = Process::timeout($seconds)
            ->env(['AV_LOG_FORCE_NOCOLOR' => '1'])
            ->run(['prlimit', '--as='.self::MEMORY, '--core=0', ...$command], $output);
        // Ended from outside, which says nothing of the film.
        if ($run->exitCode() > 127 && str_contains($run->errorOutput().' received signal 9', 'received signal')) {
            throw new \RuntimeException("{$command[0]} was ended from outside");
        }

        return $run;
    }
}
