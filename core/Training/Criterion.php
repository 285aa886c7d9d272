<?php

declare(strict_types=1);

namespace Core\Training;

use Core\CoreException;
use Core\Planning\SignOff;

/** What a test must show: of a fault, or of a group of related ones, that it is found, or that it is left alone. */
final readonly class Criterion
{
    /**
     * @param  string  $name  of the group
     * @param  list<string>  $faults  one at least
     * @param  float  $bar  p0: who is right no more often must not be signed off
     * @param  float  $good  p1: who is right so often should be
     *
     * @throws CoreException
     */
    public function __construct(
        public string $name,
        public array $faults,
        public CriterionKind $kind,
        public float $bar,
        public float $good,
    ) {
        if ($faults === []) {
            throw TrainingException::because('rule');
        }
        new SignOff($bar, $good);
    }

    /**
     * The right calls and all calls of one case that count here. Who cannot tell what could be told is not right.
     *
     * @param  array<string, bool>  $is  what the key settles of what is to be seen, by fault: whether it is there
     * @param  array<string, string>  $said  present, absent or cannot-tell, by fault
     * @return array{int, int}
     */
    public function counted(array $is, array $said): array
    {
        $right = $calls = 0;
        foreach ($this->faults as $fault) {
            if (isset($is[$fault]) && $this->kind->counts($is[$fault])) {
                $calls++;
                $right += ($said[$fault] ?? '') === ($is[$fault] ? 'present' : 'absent') ? 1 : 0;
            }
        }

        return [$right, $calls];
    }

    /** @param  array<string, bool>  $is */
    public function callsIn(array $is): int
    {
        return $this->counted($is, [])[1];
    }
}
