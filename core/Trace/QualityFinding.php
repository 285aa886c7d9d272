<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\Remark\Remark;

/**
 * One thing wrong with a recording: what, where in time, and what it does to the measures made from the signals it
 * touches.
 */
final readonly class QualityFinding
{
    public const NULLED = 'nulled';

    public const WIDENED = 'widened';

    public const UNAFFECTED = 'unaffected';

    public const SEVERITIES = ['note', 'warning', 'serious'];

    public const EFFECTS = [self::NULLED, self::WIDENED, self::UNAFFECTED];

    /**
     * @param  'note'|'warning'|'serious'  $severity
     * @param  'nulled'|'widened'|'unaffected'  $effect
     * @param  list<Signal>  $signals
     * @param  array{float, float}|null  $span  seconds; null: the whole recording
     * @param  float  $widening  what the uncertainty of a widened measure is multiplied by
     * @param  bool  $timingsOnly  whether only times and rates are touched, not levels
     * @param  array<string, float>  $widenings  by signal, where one is touched otherwise than the rest
     * @param  float  $part  what part of itself a force may be off by besides: a wrong mass or gain takes most of most
     */
    public function __construct(
        public string $kind,
        public string $severity,
        public Remark $remark,
        public string $effect = self::UNAFFECTED,
        public array $signals = [],
        public ?array $span = null,
        public float $widening = 2.0,
        public bool $timingsOnly = false,
        public array $widenings = [],
        public float $part = 0.0,
    ) {
    }

    /**
     * What the uncertainty is multiplied by of a measure made from these signals.
     *
     * @param  list<Signal>  $signals
     */
    public function widens(array $signals): float
    {
        $of = [];
        foreach ($signals as $signal) {
            if (in_array($signal, $this->signals, true)) {
                $of[] = $this->widenings[$signal->value] ?? $this->widening;
            }
        }

        return $of === [] ? $this->widening : max($of);
    }

    /** Whether it touches what was made from a span of time. */
    public function covers(float $from, float $to): bool
    {
        return $this->span === null || ($from <= $this->span[1] && $to >= $this->span[0]);
    }
}
