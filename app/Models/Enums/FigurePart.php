<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** The parts in which a round's figures are kept and read. */
enum FigurePart: string
{
    /** Everything but what is told of two people or of one. */
    case Summary = 'summary';
    /** All that is told of one fault (the subject), or of all of them pooled (no subject). */
    case Item = 'item';
    /** Right and wrong calls by person and fault. */
    case Map = 'map';
    /** By what was shown. */
    case Arms = 'arms';
    /** Since the round before (the subject). */
    case Change = 'change';
    /** Where people mark the stations. */
    case Times = 'times';
    /** Its cases, by what there is to talk about. */
    case Talk = 'talk';
    /** Readers, cases and faults on one scale. */
    case Scale = 'scale';
    /** First causes, chain, priority, decisions and misses. */
    case Advice = 'advice';
    /** One person's calls and what follows from them; the subject is the user. */
    case Person = 'person';
}
