<?php

declare(strict_types=1);

namespace Core\Drawing;

use Core\Motion\Vec3;
use Core\Motion\View;

/** What a drill is done with, where it lies or stands, mm in the stance's frame. */
final readonly class Aid
{
    private const STRIPES = 9;

    /** @param  list<Vec3>  $at */
    private function __construct(private string $kind, private array $at, private float $size = 0.0)
    {
    }

    /** A rod on the ground, or standing. */
    public static function rod(Vec3 $from, Vec3 $to): self
    {
        return new self('rod', [$from, $to]);
    }

    /** A light cone. */
    public static function marker(Vec3 $at): self
    {
        return new self('marker', [$at]);
    }

    /** Under a foot, low in friction. */
    public static function disc(Vec3 $at): self
    {
        return new self('disc', [$at]);
    }

    /** @param  float  $x  where it stands beside the golfer */
    public static function wall(float $x, float $heightMm): self
    {
        return new self('wall', [new Vec3($x, 0.0, 0.0)], $heightMm);
    }

    /** A plank on a rocker under both feet, its ends so high. */
    public static function board(Vec3 $trailEnd, Vec3 $leadEnd): self
    {
        return new self('board', [$trailEnd, $leadEnd]);
    }

    public static function tee(Vec3 $at): self
    {
        return new self('tee', [$at]);
    }

    public static function ball(Vec3 $at): self
    {
        return new self('ball', [$at]);
    }

    /** A box that is imagined, from one corner to the other. */
    public static function box(Vec3 $from, Vec3 $to): self
    {
        return new self('box', [$from, $to]);
    }

    /** The way something goes. */
    public static function arrow(Vec3 $from, Vec3 $to): self
    {
        return new self('arrow', [$from, $to]);
    }

    /** Whether it lies under the feet, and is drawn before them. */
    public function isBeneath(): bool
    {
        return in_array($this->kind, ['disc', 'board', 'wall'], true);
    }

    /** @return list<Shape> */
    public function shapes(View $view): array
    {
        [$x, $y] = Mannequin::seen($this->at[0], $view);
        [$toX, $toY] = Mannequin::seen($this->at[1] ?? $this->at[0], $view);

        return match ($this->kind) {
            'rod' => [self::line('aid', $x, $y, $toX, $toY)],
            'marker' => [
                Shape::path('aid', sprintf('M%.0f %.0fL%.0f %.0fL%.0f %.0fZ', $x - 55, $y, $x, $y - 150, $x + 55, $y)),
            ],
            'disc' => [Shape::path('aid', sprintf(
                'M%.0f %.0fa125 24 0 1 0 250 0a125 24 0 1 0 -250 0Z',
                $x - 125.0,
                $y + 20.0,
            ))],
            'wall' => self::wallShapes($x, $this->size),
            'board' => [
                Shape::path('aid', sprintf(
                    'M%.0f %.0fL%.0f %.0fL%.0f %.0fL%.0f %.0fZ',
                    $x,
                    $y,
                    $toX,
                    $toY,
                    $toX,
                    $toY + 34.0,
                    $x,
                    $y + 34.0,
                )),
                Shape::path('aid', Mannequin::circle([($x + $toX) / 2.0, ($y + $toY) / 2.0 + 86.0], 52.0)),
            ],
            'tee' => [
                self::line('aid', $x, $y, $x, $y - 70.0),
                self::line('aid', $x - 26.0, $y - 72.0, $x + 26.0, $y - 72.0),
            ],
            'ball' => [Shape::path('ball', Mannequin::circle([$x, $y - 30.0], 30.0))],
            'box' => [Shape::line('dashes', sprintf('M%.0f %.0fH%.0fV%.0fH%.0fZ', $x, $y, $toX, $toY, $x))],
            default => self::arrowShapes($x, $y, $toX, $toY),
        };
    }

    private static function line(string $part, float $x, float $y, float $toX, float $toY): Shape
    {
        return Shape::line($part, sprintf('M%.0f %.0fL%.0f %.0f', $x, $y, $toX, $toY));
    }

    /** @return list<Shape> */
    private static function wallShapes(float $x, float $height): array
    {
        $path = sprintf('M%.0f 0V%.0f', $x, -$height);
        for ($i = 0; $i < self::STRIPES; $i++) {
            $y = -$height * ((float) $i + 0.3) / (float) self::STRIPES;
            $path .= sprintf('M%.0f %.0fl80 -70', $x, $y);
        }

        return [Shape::line('aid', $path)];
    }

    /** @return list<Shape> */
    private static function arrowShapes(float $x, float $y, float $toX, float $toY): array
    {
        $length = max(1.0, hypot($toX - $x, $toY - $y));
        [$ux, $uy] = [($toX - $x) / $length, ($toY - $y) / $length];
        [$backX, $backY] = [$toX - 70.0 * $ux, $toY - 70.0 * $uy];

        return [
            self::line('way', $x, $y, $backX, $backY),
            Shape::path('way', sprintf(
                'M%.0f %.0fL%.0f %.0fL%.0f %.0fZ',
                $toX,
                $toY,
                $backX - 42.0 * $uy,
                $backY + 42.0 * $ux,
                $backX + 42.0 * $uy,
                $backY - 42.0 * $ux,
            )),
        ];
    }
}
