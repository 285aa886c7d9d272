<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\CoreException;

/**
 * A drawing aid laid on one filmed view: points in parts of the picture, x from its left edge and y from its top,
 * 0 to 1. What each kind holds: plumb – one point the line hangs through; hips – two opposite corners of a box; foot
 * – heel, ball and toe of a sole; angle – heel and toe of a foot; heel – the heel at the moment of each mark, the
 * first at rest.
 */
final readonly class Aid
{
    /** Kinds, with how many points each has: least and most. */
    public const KINDS = ['plumb' => [1, 1], 'hips' => [2, 2], 'foot' => [3, 3], 'angle' => [2, 2], 'heel' => [1, 12]];

    /**
     * @param  string  $view  face-on or down-the-line
     * @param  list<array{x: float, y: float, t: float}>  $points  t: the recording's time at which it was placed, s
     * @param  int  $swing  which swing of the case, from 1
     *
     * @throws CoreException
     */
    public function __construct(public string $kind, public string $view, public array $points, public int $swing = 1)
    {
        [$least, $most] = self::KINDS[$kind] ?? throw ReadingException::because('no-aid');
        if (! in_array($view, ['face-on', 'down-the-line'], true)) {
            throw ReadingException::because('aid-view');
        }
        if ($swing < 1 || $swing > 6) {
            throw ReadingException::because('swing');
        }
        if (count($points) < $least || count($points) > $most) {
            throw ReadingException::because(
                $most > $least ? 'aid-points-from' : 'aid-points',
                least: $least,
                most: $most,
            );
        }
        foreach ($points as $p) {
            if (
                ! is_finite($p['x'] + $p['y'] + $p['t']) ||
                min($p) < 0.0 ||
                max($p['x'], $p['y']) > 1.0 ||
                $p['t'] > 600.0
            ) {
                throw ReadingException::because('aid-outside');
            }
        }
    }

    /** @return array{kind: string, view: string, points: list<array{x: float, y: float, t: float}>, swing?: int} */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind,
            'view' => $this->view,
            'points' => array_map(
                static fn (array $p): array => [
                    'x' => round($p['x'], 4),
                    'y' => round($p['y'], 4),
                    't' => round($p['t'], 4),
                ],
                $this->points,
            ),
            ...$this->swing === 1 ? [] : ['swing' => $this->swing],
        ];
    }
}
