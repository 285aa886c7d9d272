<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Codebook\Codebooks;
use App\Models\ReadinessRule;
use App\Words\Term;

/** What a rule is about, in a line. */
final readonly class RuleWords
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    public function about(ReadinessRule $rule): string
    {
        return (string) __('readiness.about', [
            'device' => $rule->device === null ? (string) __('readiness.any-device') : Term::device($rule->device),
            'lens' => $this->codebooks->document()->lenses()[$rule->lens] ?? $rule->lens,
            'version' => (string) $rule->version,
        ]);
    }
}
