<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\Codebook\Limit;

/** One thing that speaks for a drill or against it. */
final readonly class Reason
{
    /**
     * @param  string|null  $fault  that it is about
     * @param  Limit|null  $limit  likewise
     * @param  string  $says  the codebook's own words, where it has some
     */
    public function __construct(
        public ReasonCode $code,
        public ?string $fault = null,
        public ?Limit $limit = null,
        public string $says = '',
    ) {
    }

    /** What tells it from others against the same drill. */
    public function key(): string
    {
        return implode(':', array_filter(
            [$this->code->value, $this->fault, $this->limit?->key()],
            static fn (?string $of): bool => $of !== null,
        ));
    }
}
