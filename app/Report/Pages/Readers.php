<?php

declare(strict_types=1);

namespace App\Report\Pages;

use Core\Agreement\Figure;
use Core\Agreement\Study\RaterResult;
use Core\Drawing\Axis;
use Core\Drawing\Estimate;
use Core\Drawing\Forest;
use Core\Drawing\ForestRow;
use Core\Sight\SmallCells;

/** Readers as a report may show them: by a number in the order of what they found; none of them where they are few. */
final readonly class Readers
{
    private const SERIES = ['sensitivity', 'specificity'];

    /** @param  list<RaterResult>  $people  in the order of what they found */
    private function __construct(private array $people)
    {
    }

    /** @param  list<RaterResult>  $people */
    public static function of(array $people): self
    {
        $found = static fn (RaterResult $p): array => [
            -($p->figures['sensitivity']->estimate ?? -1.0),
            -($p->figures['specificity']->estimate ?? -1.0),
        ];
        usort($people, static fn (RaterResult $a, RaterResult $b): int => $found($a) <=> $found($b));

        return new self(count($people) < SmallCells::LEAST ? [] : $people);
    }

    public function areShown(): bool
    {
        return $this->people !== [];
    }

    /** @return list<array{name: string, n: int, figures: list<Figure>}> */
    public function rows(): array
    {
        return array_map(static fn (RaterResult $p, int $i): array => [
            'name' => (string) __('report.reader', ['number' => $i + 1]),
            'n' => $p->n,
            'figures' => array_map(static fn (string $s): Figure => $p->figures[$s], self::SERIES),
        ], $this->people, array_keys($this->people));
    }

    /** @return list<ForestRow> */
    public function drawn(): array
    {
        return array_map(static fn (array $row): ForestRow => new ForestRow(
            $row['name'],
            self::estimates(array_combine(self::SERIES, $row['figures'])),
        ), $this->rows());
    }

    /**
     * @param  array<string, Figure>  $figures  by series
     * @return list<Estimate>
     */
    public static function estimates(array $figures): array
    {
        $known = array_filter($figures, static fn (Figure $f): bool => $f->estimate !== null);

        return array_values(array_map(
            static fn (string $series, Figure $f): Estimate => new Estimate(
                $series,
                $f->estimate ?? 0.0,
                $f->low,
                $f->high,
            ),
            array_keys($known),
            $known,
        ));
    }

    /**
     * @param  list<ForestRow>  $rows
     * @param  float  $room  what the longest name takes
     * @return array{broad: Forest, slim: Forest}
     */
    public static function chart(array $rows, float $room): array
    {
        return [
            'broad' => Forest::beside($rows, Axis::shares(), room: $room),
            'slim' => Forest::beneath($rows, Axis::shares()),
        ];
    }
}
