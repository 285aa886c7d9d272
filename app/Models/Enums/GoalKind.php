<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What somebody is to have done by a day. */
enum GoalKind: string
{
    /** So many questions answered in practice, of one fault or of any. */
    case Practise = 'practise';
    /** So many of their prescriptions followed up. */
    case FollowUp = 'follow-up';
    /** A test of readiness asked for or begun. */
    case Test = 'test';
    /** Something that no program can tell: the person says when it is done. */
    case Words = 'words';
}
