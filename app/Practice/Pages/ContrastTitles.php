<?php

declare(strict_types=1);

namespace App\Practice\Pages;

use App\Codebook\Codebooks;
use App\Models\ContrastSet;
use Core\Simulation\ContrastKind;

/** What a contrast set is called. */
final readonly class ContrastTitles
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    public function of(ContrastSet $set): string
    {
        $faults = $this->codebooks->current($set->lens)->faults;
        $one = $faults[$set->fault]->name ?? $set->fault;

        return ucfirst((string) __("practice.contrast.titles.{$set->kind->value}", [
            'one' => $one,
            'other' => $set->other === null ? '' : $faults[$set->other]->name ?? $set->other,
            'mishap' => $set->kind === ContrastKind::Artefact
                ? (string) __("practice.artefact.mishaps.$set->mishap.name")
                : '',
        ]));
    }
}
