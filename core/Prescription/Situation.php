<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\Codebook\Limit;
use Core\Reading\Decision;
use Core\Reading\Outside;

/** What a drill is looked for in: what was seen and what causes it, whose body it is, how far the golfer has come. */
final readonly class Situation
{
    /**
     * @param  array<string, Decision>  $present  what to do with each fault that was seen, by key
     * @param  list<string>  $causes  first causes: faults, or codes of Outside
     * @param  list<Limit>  $limits  in force and not cleared
     *
     * @throws PrescriptionException where a cause that is a fault was not seen
     */
    public function __construct(
        public array $present,
        public array $causes,
        public array $limits = [],
        public ?Level $level = null,
    ) {
        foreach ($causes as $cause) {
            if (Outside::tryFrom($cause) === null && ! isset($present[$cause])) {
                throw PrescriptionException::because('cause-not-seen', cause: $cause);
            }
        }
    }

    /** Whether nothing that was named as a first cause lies in the feet. */
    public function isOutside(): bool
    {
        return $this->causes !== [] && array_filter(
            $this->causes,
            static fn (string $cause): bool => Outside::tryFrom($cause) === null,
        ) === [];
    }
}
