<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * What was said of one item on one occasion, by case and rater: a text a case with a byte a rater, so that ten million
 * ratings take some tens of megabytes. Where a byte cannot tell the values apart, four bytes.
 */
final class CallSheet
{
    private const WIDE = 4;

    /** @var array<int, string> by case; byte r is 1 more than the value of rater r, 0 where there is none */
    private array $rows = [];

    /** Bytes a rating takes. */
    private int $size = 1;

    /** @return bool false where the rater rated the case already */
    public function add(int $case, int $rater, int $value): bool
    {
        if ($value > 254 && $this->size === 1) {
            $this->widen();
        }
        $at = $rater * $this->size;
        $row = &$this->rows[$case];
        if ($row === null || strlen($row) <= $at) {
            // By doubling, so that rows need not be copied for every rater that turns up.
            $length = 8 * $this->size;
            while ($length <= $at) {
                $length *= 2;
            }
            $row = str_pad($row ?? '', $length, "\0");
        } elseif ($this->size === 1 ? $row[$at] !== "\0" : substr($row, $at, self::WIDE) !== "\0\0\0\0") {
            return false;
        }
        if ($this->size === 1) {
            $row[$at] = chr($value + 1);
        } else {
            $row = substr_replace($row, pack('V', $value + 1), $at, self::WIDE);
        }

        return true;
    }

    private function widen(): void
    {
        foreach ($this->rows as $case => $row) {
            $this->rows[$case] = pack('V*', ...array_values(self::unpacked('C*', $row)));
        }
        $this->size = self::WIDE;
    }

    /** @return array<int, string> by case, as read() takes them */
    public function rows(): array
    {
        return $this->rows;
    }

    /** @return array<int|string, int> how often each row is there, by row */
    public function counted(): array
    {
        return array_count_values($this->rows);
    }

    public function has(int $case): bool
    {
        return isset($this->rows[$case]);
    }

    /** @return list<int> value by rater, RatingSet::NONE where there is none */
    public function row(int $case): array
    {
        return isset($this->rows[$case]) ? $this->read($this->rows[$case]) : [];
    }

    /** @return list<int> */
    public function read(string $row): array
    {
        $out = [];
        foreach (self::unpacked($this->size === 1 ? 'C*' : 'V*', $row) as $v) {
            $out[] = $v - 1;
        }

        return $out;
    }

    /** Adds what another sheet has where this has nothing. */
    public function fill(self $with): void
    {
        foreach ($with->rows as $case => $row) {
            if (! isset($this->rows[$case]) && $this->size === $with->size) {
                $this->rows[$case] = $row;

                continue;
            }
            foreach ($with->read($row) as $rater => $value) {
                if ($value !== RatingSet::NONE) {
                    $this->add($case, $rater, $value);
                }
            }
        }
    }

    /** @return array<int, int> */
    private static function unpacked(string $format, string $row): array
    {
        /** @var array<int, int> $out */
        $out = unpack($format, $row) ?: [];

        return $out;
    }
}
