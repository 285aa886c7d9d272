<?php

declare(strict_types=1);

namespace Core\Consensus;

use Core\Motion\Station;
use Core\Number\Median;
use Core\Reading\Call;
use Core\Reading\Presence;

/** What a panel says together of one fault in one case: the label, the counts behind it, severity and onset. */
final readonly class Consensus
{
    public function __construct(
        public Label $label,
        public int $present,
        public int $absent,
        public int $cannotTell,
        public ?float $severity,
        public ?Station $onset,
    ) {
    }

    /**
     * A label needs $majority of those who could tell, and at least $able of them. Severity is the median of
     * those who called it present; onset the station named by most of them, null when two tie.
     *
     * @param  list<Call>  $calls  one per panel member
     * @param  float  $majority  in (0.5, 1]
     */
    public static function fromCalls(array $calls, float $majority = 0.75, int $able = 3): self
    {
        $n = ['present' => 0, 'absent' => 0, 'cannot-tell' => 0];
        $severities = $onsets = [];
        foreach ($calls as $call) {
            $n[$call->presence->value]++;
            if ($call->presence === Presence::Present) {
                if ($call->severity !== null) {
                    $severities[] = $call->severity->value;
                }
                if ($call->onset !== null) {
                    $onsets[$call->onset->value] = ($onsets[$call->onset->value] ?? 0) + 1;
                }
            }
        }
        $told = $n['present'] + $n['absent'];
        $label = match (true) {
            $told < $able => Label::None,
            // Compared as whole votes, so that 3 of 4 is three quarters whatever the machine.
            $n['present'] >= $majority * $told - 1e-9 => Label::Present,
            $n['absent'] >= $majority * $told - 1e-9 => Label::Absent,
            default => Label::None,
        };
        $isPresent = $label === Label::Present;

        return new self(
            $label,
            $n['present'],
            $n['absent'],
            $n['cannot-tell'],
            $isPresent ? Median::of($severities) : null,
            $isPresent ? self::mode($onsets) : null,
        );
    }

    /** @param  array<string, int>  $counts */
    private static function mode(array $counts): ?Station
    {
        if ($counts === []) {
            return null;
        }
        $top = array_keys($counts, max($counts), true);

        return count($top) === 1 ? Station::from($top[0]) : null;
    }
}
