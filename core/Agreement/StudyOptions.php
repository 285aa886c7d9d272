<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/** What a computation of agreement was asked for; stated again in its result. */
final readonly class StudyOptions
{
    /**
     * @param  list<string>|null  $categories  declared, fixed through every replicate
     * @param  string|null  $cannotTell  value that is missing in the main figures and a category in "three_way"
     */
    public function __construct(
        public ?array $categories = null,
        public string $positive = 'present',
        public ?string $cannotTell = null,
        public bool $pairs = true,
        public int $bootstrap = 2000,
        public int $seed = 1,
        public float $confidence = 0.95,
    ) {
        if ($confidence <= 0.0 || $confidence >= 1.0) {
            throw new CoreException('confidence must lie between 0 and 1');
        }
        if ($bootstrap < 0 || $bootstrap > 100000) {
            throw new CoreException('bootstrap must lie between 0 and 100000');
        }
    }
}
