<?php

declare(strict_types=1);

namespace Core\Format;

use Core\Motion\Handedness;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;

/** What a person says of a file before it is read; what they leave out is taken from the file, or inferred. */
final readonly class ImportSettings
{
    /** @param  '+x'|'-x'|'+y'|'-y'  $target  the laboratory axis that points to the target, for C3D */
    public function __construct(
        public ?DeviceClass $device = null,
        public ?Handedness $hand = null,
        public ?float $massKg = null,
        public ?Stance $stance = null,
        public ?ColumnMap $map = null,
        public string $target = '+x',
    ) {
    }
}
