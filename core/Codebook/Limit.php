<?php

declare(strict_types=1);

namespace Core\Codebook;

/** What a golfer's body is to be spared. It says what a professional or the golfer said, and diagnoses nothing. */
final readonly class Limit
{
    /**
     * @param  ?LimitSide  $side  null where the region has none
     *
     * @throws CodebookException for a side of what has none, or none of what has two
     */
    public function __construct(
        public LimitRegion $region,
        public LimitSeverity $severity,
        public ?LimitSide $side = null,
    ) {
        if (($side !== null) !== $region->hasSides()) {
            throw CodebookException::because('limit-side', region: $region->value);
        }
    }

    public function key(): string
    {
        return implode('|', [$this->region->value, $this->side->value ?? '', $this->severity->value]);
    }
}
