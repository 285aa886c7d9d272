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

    private int $line = 1;

    /**
     * @param  resource  $stream
     * @param  string  $file  the name errors use
     */
    public function __construct(private $stream, public readonly string $file)
    {
        $first = $this->next();
        if ($first === null) {
            throw FormatException::in($file, 'the file is empty');
        }
        $first[0] = preg_replace('/^\xEF\xBB\xBF/', '', $first[0]) ?? $first[0];
        $header = array_map(trim(...), $first);
        foreach (array_count_values($header) as $name => $n) {
            if ($n > 1) {
                throw FormatException::at($file, 1, (string) $name, 'the column stands in the header twice');
            }
        }
        $this->header = $header;
    }

    /**
     * @param  list<string>  $names
     * @return array<string, int> position by name
     */
    public function require(array $names): array
    {
        $out = [];
        foreach ($names as $name) {
            $at = array_search($name, $this->header, true);
            if ($at === false) {
                throw FormatException::at($this->file, 1, $name, 'the column is missing');
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
     */
    public function rows(): \Generator
    {
        $width = count($this->header);
        while (true) {
            $start = $this->line;
            $text = $this->readLine();
            if ($text === null) {
                return;
            }
            // The usual line is plain: printable letters without quotes and spaces, as many cells as the header.
            if (preg_match('/[^!#-~\r\n]/', $text) === 0) {
                $cells = explode(',', rtrim($text, "\r\n"));
                if (count($cells) === $width) {
                    yield $start => $cells;

                    continue;
                }
            } else {
                $cells = array_map(trim(...), $this->cells($text));
            }
            if (count($cells) === 1 && trim($cells[0]) === '') {
                continue;
            }
            if (count($cells) !== $width) {
                $at = min(count($cells), $width);
                throw FormatException::at($this->file, $start, $this->header[$at] ?? (string) ($at + 1), sprintf('%d cells where the header has %d', count($cells), $width));
            }
            yield $start => $cells;
        }
    }

    /** @return list<string>|null */
    private function next(): ?array
    {
        $text = $this->readLine();

        return $text === null ? null : $this->cells($text);
    }

    /** @return list<string> */
    private function cells(string $text): array
    {
        $start = $this->line - 1;
        // A quoted cell may hold line ends: read on until the quotes are even.
        $plain = ! str_contains($text, '"');
        while (! $plain && substr_count($text, '"') % 2 === 1) {
            $more = $this->readLine();
            if ($more === null) {
                throw FormatException::at($this->file, $start, '1', 'a quotation mark is opened and never closed');
            }
            $text .= $more;
            if (strlen($text) > self::LONGEST_LINE) {
                throw FormatException::at($this->file, $start, '1', 'a quoted cell of over a megabyte');
            }
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw FormatException::at($this->file, $start, '1', 'the text is not UTF-8');
        }
        $text = rtrim($text, "\r\n");
        $cells = $plain ? explode(',', $text) : array_map(static fn (?string $c): string => $c ?? '', str_getcsv($text, ',', '"', ''));
        if (count($cells) > self::MOST_COLUMNS) {
            throw FormatException::at($this->file, $start, (string) self::MOST_COLUMNS, 'more columns than any file of this kind has');
        }

        return $cells;
    }

    private function readLine(): ?string
    {
        $text = fgets($this->stream, self::LONGEST_LINE + 2);
        if ($text === false) {
            return null;
        }
        if (strlen($text) > self::LONGEST_LINE) {
            throw FormatException::at($this->file, $this->line, '1', 'the line is longer than a megabyte');
        }
        $this->line++;

        return $text;
    }
}
