<?php

declare(strict_types=1);

namespace App\Models\Enums;

enum WorkKind: string
{
    /** Measuring one recording and judging its faults. */
    case Measure = 'measure';
    /** Making what a sitting shows, and dealing it out. */
    case Open = 'open';
    /** Making a panel's key from what was handed in. */
    case Key = 'key';
    /** Working out a sitting's figures and showing them to its members. */
    case Publish = 'publish';
    /** Working out anew what another version of the program had published. */
    case Figures = 'figures';
    /** Writing a published round as open files. */
    case Export = 'export';
    /** Judging every recording by a draft of the codebook beside the one that holds. */
    case Try = 'try';
    /** Making the swings of a contrast set. */
    case Contrast = 'contrast';
}
