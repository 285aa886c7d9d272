<?php

use Core\Codebook\Limit;
use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSeverity;
use Core\Codebook\LimitSide;

it('has a side exactly where a body has two', function () {
    foreach (LimitRegion::cases() as $region) {
        $with = fn () => new Limit($region, LimitSeverity::Avoid, LimitSide::Lead);
        $without = fn () => new Limit($region, LimitSeverity::Avoid);
        if ($region->hasSides()) {
            expect($with()->key())->toBe("$region->value|lead|avoid");
            expect($without)->toRefuse('side');
        } else {
            expect($without()->key())->toBe("$region->value||avoid");
            expect($with)->toRefuse('side');
        }
    }
    expect(LimitSeverity::NotCleared->rank())->toBeGreaterThan(LimitSeverity::Avoid->rank())
        ->and(LimitSeverity::Avoid->rank())->toBeGreaterThan(LimitSeverity::Careful->rank());
});
