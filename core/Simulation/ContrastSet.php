<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Motion\Handedness;
use Core\Trace\DeviceClass;

/**
 * Swings of one golfer that differ in one thing, to be seen beside each other: which there are, in which order.
 */
final readonly class ContrastSet
{
    /** What is planted where a fault is simply there. */
    public const CLEAR = 2.4;

    /** What goes wrong with an instrument, the fault it is taken for, and on what. */
    public const MISTAKEN = [
        'slipped-and-back' => 'spin-out',
        'slipped-for-good' => 'hang-back',
        'stuck' => 'late-recentre',
        'foot-off' => 'jump-off-trail',
        'heel-and-toe-exchanged' => 'toe-dive',
        'plates-exchanged' => 'no-load',
        'shares-exchanged' => 'no-load',
        'push-across-off' => 'weak-couple',
    ];

    /**
     * @param  string  $fault  that is there or not; of a thing gone wrong, the one it is taken for
     * @param  string|null  $other  of a pair that is taken for one another
     * @param  string|null  $mishap  a code of MISTAKEN
     *
     * @throws CoreException where it cannot be made
     */
    public function __construct(
        public ContrastKind $kind,
        public string $fault,
        public ?string $other,
        public ?string $mishap,
        public DeviceClass $device,
        public Handedness $hand,
        public string $lens,
        public int $body,
    ) {
        $this->swings();
    }

    /**
     * @return non-empty-array<string, MadeSwing> by what each is called within its set
     *
     * @throws CoreException
     */
    public function swings(): array
    {
        $plant = static fn (?string $fault, float $severity = self::CLEAR): array => $fault === null ? [] : [
            $fault => $severity,
        ];

        return match ($this->kind) {
            ContrastKind::Fault => [
                'absent' => $this->made([]),
                'slight' => $this->made($plant($this->fault, 1.0)),
                'clear' => $this->made($plant($this->fault, 2.0)),
                'dominant' => $this->made($plant($this->fault, 3.0)),
            ],
            ContrastKind::Alike => [
                'neither' => $this->made([]),
                'one' => $this->made($plant($this->fault)),
                'other' => $this->made($plant($this->other)),
            ],
            ContrastKind::Artefact => [
                'instrument' => $this->made([], false, $this->mishap),
                'golfer' => $this->made($plant($this->fault)),
                'neither' => $this->made([]),
            ],
            ContrastKind::Speed => [
                'easy-without' => $this->made([], true),
                'full-without' => $this->made([]),
                'easy-with' => $this->made($plant($this->fault), true),
                'full-with' => $this->made($plant($this->fault)),
            ],
        };
    }

    /**
     * Tells it apart from every other.
     *
     * @throws CoreException
     */
    public function key(): string
    {
        $keys = array_map(static fn (MadeSwing $swing): string => $swing->key(), $this->swings());

        return hash('sha256', implode('|', [$this->kind->value, $this->fault, $this->lens, ...array_values($keys)]));
    }

    /**
     * @param  array<string, float>  $faults
     *
     * @throws CoreException
     */
    private function made(array $faults, bool $isEasy = false, ?string $mishap = null): MadeSwing
    {
        return new MadeSwing($this->body, $faults, $this->hand, $this->device, $isEasy, $mishap);
    }
}
