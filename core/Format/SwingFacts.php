<?php

declare(strict_types=1);

namespace Core\Format;

use Core\Codebook\SwingSize;
use Core\CoreException;
use Core\Format\Json\JsonObject;
use Core\Reading\BallFlight;

/** What is known of a swing beside what was recorded of it, and what the ball did. Null: nobody said. */
final readonly class SwingFacts
{
    /** Loft, °, and the share of full speed, %, between these. */
    public const LOFT_DEG = [0.0, 80.0];

    public const EFFORT_PCT = [1, 120];

    public const MOST_PLACES = 500;

    public function __construct(
        public ?string $shape = null,
        public ?SwingSize $size = null,
        public ?float $loftDeg = null,
        public ?int $effortPct = null,
        public ?bool $hasBall = null,
        public bool $isCold = false,
        public ?string $series = null,
        public ?int $place = null,
        public ?BallFlight $flight = null,
    ) {
    }

    /** @return array{facts: array<string, string|float|int|bool|null>, flight: array<string, mixed>|null} */
    public function toArray(): array
    {
        return [
            'facts' => [
                'shape' => $this->shape,
                'size' => $this->size?->value,
                'loft_deg' => $this->loftDeg,
                'effort_pct' => $this->effortPct,
                'has_ball' => $this->hasBall,
                'is_cold' => $this->isCold,
                'series' => $this->series,
                'place' => $this->place,
            ],
            'flight' => $this->flight?->toArray(),
        ];
    }

    /**
     * @param  JsonObject  $of  with both members, or one, or (as files of before) none
     *
     * @throws CoreException
     */
    public static function read(JsonObject $of): self
    {
        $o = $of->optionalObject('facts') ?? JsonObject::from([], 'facts');
        $flight = $of->optionalObject('flight');
        /** @var array<string, mixed> $did */
        $did = $flight?->plain() ?? [];
        $ball = $o->plain()['has_ball'] ?? null;
        if ($ball !== null && ! is_bool($ball)) {
            throw $o->wrong('has_ball', 'yes-or-no');
        }

        return new self(
            $o->optionalText('shape', 40),
            $o->optionalOne(SwingSize::class, 'size'),
            self::within($o, 'loft_deg', self::LOFT_DEG),
            self::whole($o, 'effort_pct', self::EFFORT_PCT),
            $ball,
            $o->isTrue('is_cold'),
            $o->optionalText('series', 60),
            self::whole($o, 'place', [1, self::MOST_PLACES]),
            $flight === null ? null : BallFlight::fromArray($did),
        );
    }

    /**
     * @param  array{float|int, float|int}  $range
     *
     * @throws FormatException
     */
    private static function within(JsonObject $o, string $name, array $range): ?float
    {
        $value = $o->optionalNumber($name);

        return $value === null || ($value >= $range[0] && $value <= $range[1])
            ? $value
            : throw $o->wrong($name, 'must-lie-between', low: (string) $range[0], high: (string) $range[1]);
    }

    /**
     * @param  array{int, int}  $range
     *
     * @throws FormatException
     */
    private static function whole(JsonObject $o, string $name, array $range): ?int
    {
        $value = self::within($o, $name, $range);

        if ($value === null) {
            return null;
        }

        return floor($value) === $value ? (int) $value : throw $o->wrong($name, 'must-be-whole');
    }
}
