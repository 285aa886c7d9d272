<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/** Both feet at address. The lead foot is the one nearer the target, for either hand. */
final readonly class Stance
{
    public function __construct(public Foot $lead, public Foot $trail)
    {
        if ($lead->xMm - $trail->xMm < 50.0) {
            throw new CoreException('The lead foot must stand at least 50 mm nearer the target than the trail foot; are the feet swapped?');
        }
    }

    public static function ofWidth(float $widthMm): self
    {
        return new self(new Foot($widthMm / 2, 0.0), new Foot(-$widthMm / 2, 0.0));
    }

    /**
     * The inverse of toArray(); what may be absent has its usual value.
     *
     * @param  array<string, array<string, float|int|null>>  $data
     */
    public static function fromArray(array $data): self
    {
        return new self(self::foot($data['lead_foot']), self::foot($data['trail_foot']));
    }

    /** @param  array<string, float|int|null>  $f */
    private static function foot(array $f): Foot
    {
        return new Foot((float) $f['x_mm'], (float) ($f['y_mm'] ?? 0.0), (float) ($f['length_mm'] ?? 270.0), (float) ($f['width_mm'] ?? 100.0), isset($f['flare_deg']) ? (float) $f['flare_deg'] : null);
    }

    /** Distance between the foot centres in mm. */
    public function widthMm(): float
    {
        return hypot($this->lead->xMm - $this->trail->xMm, $this->lead->yMm - $this->trail->yMm);
    }

    /** @return array{lead_foot: array<string, float|null>, trail_foot: array<string, float|null>} */
    public function toArray(): array
    {
        return ['lead_foot' => $this->lead->toArray(), 'trail_foot' => $this->trail->toArray()];
    }
}
