<?php

declare(strict_types=1);

namespace Core\Trace;

/** One thing wrong with a recording, in a sentence a coach understands. */
final readonly class QualityFinding
{
    /** @param  'warning'|'serious'  $severity */
    public function __construct(public string $kind, public string $severity, public string $sentence)
    {
    }

    /** @return array{kind: string, severity: string, sentence: string} */
    public function toArray(): array
    {
        return ['kind' => $this->kind, 'severity' => $this->severity, 'sentence' => $this->sentence];
    }
}
