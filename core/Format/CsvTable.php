<?php

declare(strict_types=1);

namespace Core\Format;

/**
 * A comma-separated file with a header, row by row. Takes an open stream, so that a large file is never held
 * whole. Refuses what no honest file has: lines over 1 MB, over 2,000 columns, bytes that are not UTF-8.
 */
final class CsvTable
{
    private const LONGEST_LINE = 1_048_576;

    private const MOST_COLUMNS = 2000;

    /** @var list<string> */
    public readonly array $header;

    private const BLOCK = 65_536;

    private int $line = 1;

    /** What has been read of the stream and not yet used. */
    private string $buffer = '';

    private int $at = 0;

    private readonly \HashContext $hash;

    /**
     * @param  resource  $stream
     * @param  string  $file  the name errors use
     *
     * @throws FormatException
     */
    public function __construct(private $stream, public readonly string $file)
    {
        $this->hash = hash_init('sha256');
        $first = $this->next();
        if ($first === null) {
            throw FormatException::in($file, 'empty');
        }
        $first[0] = preg_replace('/^\xEF\xBB\xBF/', '', $first[0]) ?? $first[0];
        $header = array_map(trim(...), $first);
        foreach (array_count_values($header) as $name => $n) {
            if ($n > 1) {
                throw FormatException::at($file, 1, (string) $name, 'column-twice');
            }
        }
        $this->header = $header;
    }

    /**
     * @param  list<string>  $names
     * @return array<string, int> position by name
     *
     * @throws FormatException
     */
    public function require(array $names): array
    {
        $out = [];
        foreach ($names as $name) {
            $at = array_search($name, $this->header, true);
            if ($at === false) {
                throw FormatException::at($this->file, 1, $name, 'column-missing');
            }
            $out[$name] = $at;
        }

        return $out;
    }

    public function position(string $name): ?int
    {
        $at = array_search($name, $this->header, true);

        return $at === false ? null : $at;
    }

    /**
     * @return \Generator<int, list<string>> cells by line number; lines without any cell are passed over
     *
     * @throws FormatException
     */
    public function rows(): \Generator
    {
        $width = count($this->header);
        while ($this->fill()) {
            $end = strrpos($this->buffer, "\n");
            $block = substr($this->buffer, $this->at, $end === false || $end < $this->at ? null : $end + 1 - $this->at);
            if (self::isPlain($block)) {
                // The usual block: no quotes and nothing to trim, so that lines and commas are all there is to it.
                $this->at += strlen($block);
                foreach (explode("\n", $block[-1] === "\n" ? substr($block, 0, -1) : $block) as $line) {
                    $number = $this->line++;
                    if ($line === '' || $line === "\r") {
                        continue;
                    }
                    $cells = explode(',', $line[-1] === "\r" ? substr($line, 0, -1) : $line, $width + 1);
                    yield $number => count($cells) === $width
                        ? $cells
                        : $this->mismatch($number, substr_count($line, ',') + 1);
                }

                continue;
            }
            for ($last = $this->line + max(1, substr_count($block, "\n")); $this->line < $last;) {
                $number = $this->line;
                $cells = array_map(trim(...), $this->next() ?? []);
                if ($cells !== [] && $cells !== ['']) {
                    yield $number => count($cells) === $width ? $cells : $this->mismatch($number, count($cells));
                }
            }
        }
    }

    /** SHA-256 of what was read, when all of it was. */
    public function checksum(): string
    {
        return hash_final(hash_copy($this->hash));
    }

    /** @throws FormatException */
    private function mismatch(int $line, int $cells): never
    {
        $width = count($this->header);
        throw FormatException::at(
            $this->file,
            $line,
            $this->header[min($cells, $width)] ?? (string) (min($cells, $width) + 1),
            'cells',
            cells: $cells,
            width: $width,
        );
    }

    private static function isPlain(string $block): bool
    {
        // Mostly there is neither space nor quote nor anything beyond ASCII, which is quick to see.
        if (preg_match('/[^!#-~\n]/', $block) === 0) {
            return true;
        }

        return ! str_contains($block, '"') &&
            preg_match('/[ \t\x00\x0B](?:[,\r\n]|$)|(?:^|[,\n])[ \t\x00\x0B]|\r(?!\n)/D', $block) === 0 &&
            mb_check_encoding($block, 'UTF-8');
    }

    /**
     * @return list<string>|null
     *
     * @throws FormatException
     */
    private function next(): ?array
    {
        $text = $this->readLine();

        return $text === null ? null : $this->cells($text);
    }

    /**
     * @return list<string>
     *
     * @throws FormatException
     */
    private function cells(string $text): array
    {
        $start = $this->line - 1;
        if (substr_count($text, ',') >= 50 * self::MOST_COLUMNS) {
            throw FormatException::at(
                $this->file,
                $start,
                (string) self::MOST_COLUMNS,
                'many-columns',
            );
        }
        // A quoted cell may hold line ends: read on until the quotes are even.
        $plain = ! str_contains($text, '"');
        while (! $plain && substr_count($text, '"') % 2 === 1) {
            $more = $this->readLine();
            if ($more === null) {
                throw FormatException::at($this->file, $start, '1', 'open-quote');
            }
            $text .= $more;
            if (strlen($text) > self::LONGEST_LINE) {
                throw FormatException::at($this->file, $start, '1', 'long-cell');
            }
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw FormatException::at($this->file, $start, '1', 'not-utf8');
        }
        $text = rtrim($text, "\r\n");
        $cells = $plain
            ? explode(',', $text)
            : array_map(static fn (?string $c): string => $c ?? '', str_getcsv($text, ',', '"', ''));
        if (count($cells) > self::MOST_COLUMNS) {
            throw FormatException::at(
                $this->file,
                $start,
                (string) self::MOST_COLUMNS,
                'many-columns',
            );
        }

        return $cells;
    }

    /**
     * Reads on until a line end is at hand or the stream is over; whether there is anything.
     *
     * @throws FormatException
     */
    private function fill(): bool
    {
        while (strpos($this->buffer, "\n", $this->at) === false && ! feof($this->stream)) {
            if (strlen($this->buffer) - $this->at > self::LONGEST_LINE) {
                throw FormatException::at($this->file, $this->line, '1', 'long-line');
            }
            $more = (string) fread($this->stream, self::BLOCK);
            hash_update($this->hash, $more);
            $this->buffer = substr($this->buffer, $this->at).$more;
            $this->at = 0;
        }

        return $this->at < strlen($this->buffer);
    }

    /** @throws FormatException */
    private function readLine(): ?string
    {
        if (! $this->fill()) {
            return null;
        }
        $end = strpos($this->buffer, "\n", $this->at);
        $text = substr($this->buffer, $this->at, $end === false ? null : $end + 1 - $this->at);
        if (strlen($text) > self::LONGEST_LINE) {
            throw FormatException::at($this->file, $this->line, '1', 'long-line');
        }
        $this->at += strlen($text);
        $this->line++;

        return $text;
    }
}
