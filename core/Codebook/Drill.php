<?php

declare(strict_types=1);

namespace Core\Codebook;

/** A drill an instructor may prescribe: what it is for, how it is done, how far to take it, and when not to. */
final readonly class Drill
{
    /**
     * @param  string  $for  what it is for
     * @param  string  $not  when not to use it
     * @param  list<string>  $steps
     * @param  string  $far  how far to take it
     * @param  array<string, string>  $expected  what should change if it works, by measurement key
     * @param  bool  $harms  one of those that rarely help anybody and add a fault where it was not needed
     * @param  DrillPlan|null  $plan  how it is prescribed; none of what is kept as a warning
     * @param  array<string, ExpectedChange>  $ways  which way of what is expected can be measured, by measurement key
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $for,
        public string $not,
        public string $setUp,
        public array $steps,
        public string $far,
        public array $expected,
        public string $caution = '',
        public bool $harms = false,
        public ?DrillPlan $plan = null,
        public array $ways = [],
    ) {
    }

    /**
     * The same with how it is prescribed, and which way what it changes goes.
     *
     * @param  array<string, ExpectedChange>  $ways
     */
    public function planned(?DrillPlan $plan, array $ways = []): self
    {
        return new self(
            $this->key,
            $this->name,
            $this->for,
            $this->not,
            $this->setUp,
            $this->steps,
            $this->far,
            $this->expected,
            $this->caution,
            $this->harms,
            $plan,
            $ways,
        );
    }
}
