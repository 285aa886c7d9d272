<?php

declare(strict_types=1);

namespace App\Console;

use App\Exceptions\Refusal;
use Core\CoreException;

/**
 * Work shared among processes: each result is a text, given back in the order of the tasks whoever did them. Without
 * the process extension, or with one process, the work is done here.
 */
final class Workers
{
    /** A week. */
    private const PATIENCE_S = 604_800;

    /**
     * @param  array<int, float>  $weights  how heavy each task is
     * @param  \Closure(int): string  $task
     * @return \Generator<int, string>
     *
     * @throws CoreException what a task threw
     */
    public static function map(int $processes, array $weights, \Closure $task): \Generator
    {
        $processes = min($processes, count($weights));
        if ($processes < 2 || ! function_exists('pcntl_fork')) {
            foreach ($weights as $i => $_) {
                yield $i => $task($i);
            }

            return;
        }
        [$mine, $of] = self::shares($processes, $weights);
        $pipes = $children = [];
        foreach ($mine as $w => $tasks) {
            $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
            foreach ($pair === false ? [] : $pair as $end) {
                // A task may think for longer than sockets are used to wait.
                stream_set_timeout($end, self::PATIENCE_S);
            }
            $child = $pair === false ? -1 : pcntl_fork();
            if ($pair === false || $child === -1) {
                throw ConsoleException::because('no-process');
            }
            if ($child === 0) {
                fclose($pair[0]);
                self::serve($pair[1], $tasks, $task);
            }
            fclose($pair[1]);
            $pipes[$w] = $pair[0];
            $children[] = $child;
        }
        try {
            $early = [];
            foreach ($weights as $i => $_) {
                while (! isset($early[$i])) {
                    [$done, $failed, $text] = self::receive($pipes[$of[$i]]);
                    if ($failed) {
                        throw ConsoleException::because('worker', words: $text);
                    }
                    $early[$done] = $text;
                }
                yield $i => $early[$i];
                unset($early[$i]);
            }
        } finally {
            array_map(fclose(...), $pipes);
            foreach ($children as $child) {
                pcntl_waitpid($child, $status);
            }
        }
    }

    /**
     * The heaviest task to whoever has the least to do.
     *
     * @param  int<2, max>  $processes
     * @param  array<int, float>  $weights
     * @return array{array<int, list<int>>, array<int, int>} tasks by worker, worker by task
     */
    private static function shares(int $processes, array $weights): array
    {
        $load = array_fill(0, $processes, 0.0);
        $mine = array_fill(0, $processes, []);
        $of = [];
        arsort($weights);
        foreach ($weights as $i => $weight) {
            $w = (int) array_search(min($load ?: [0.0]), $load, true);
            $load[$w] += $weight;
            $mine[$w][] = $i;
            $of[$i] = $w;
        }

        return [$mine, $of];
    }

    /**
     * @param  resource  $to
     * @param  list<int>  $tasks
     * @param  \Closure(int): string  $task
     */
    private static function serve($to, array $tasks, \Closure $task): never
    {
        foreach ($tasks as $i) {
            try {
                [$failed, $text] = [0, $task($i)];
            } catch (\Throwable $e) {
                [$failed, $text] = [1, $e instanceof CoreException ? Refusal::sentenceOf($e) : $e->getMessage()];
            }
            $message = pack('JJJ', $i, $failed, strlen($text)).$text;
            for ($at = 0; $at < strlen($message);) {
                $sent = @fwrite($to, substr($message, $at, 65536));
                if ($sent === false || $sent === 0) {
                    break 2;
                }
                $at += $sent;
            }
        }
        fclose($to);
        // Nothing of the parent's must be run at the end of this process.
        posix_kill((int) getmypid(), SIGKILL);
        exit;
    }

    /**
     * @param  resource  $from
     * @return array{int, bool, string}
     */
    private static function receive($from): array
    {
        $read = static function (int $length) use ($from): string {
            $text = '';
            while (strlen($text) < $length) {
                $more = fread($from, max(1, $length - strlen($text)));
                if ($more === false || $more === '') {
                    throw ConsoleException::because('process-ended');
                }
                $text .= $more;
            }

            return $text;
        };
        /** @var array{1: int, 2: int, 3: int} $head */
        $head = unpack('J3', $read(24));

        return [$head[1], $head[2] === 1, $read($head[3])];
    }
}
