<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What a person is told without asking. */
enum NoticeKind: string
{
    /** A sitting opened in which the person has a seat. */
    case Opened = 'opened';
    /** Figures were published. */
    case Published = 'published';
    /** A hand-in of the person's own was opened again. */
    case Reopened = 'reopened';
    /** Everybody has handed in. */
    case AllIn = 'all-in';
    /** Somebody who was invited has come. */
    case Came = 'came';
    /** A round is due soon, and cases wait. */
    case Due = 'due';
    /** What a golfer agreed to runs out. */
    case Consents = 'consents';
    /** Somebody's calls in the weekly checks have moved against the others'. */
    case Moved = 'moved';

    /** @return list<self> */
    public static function of(bool $headCoach): array
    {
        return $headCoach ? self::cases() : [self::Opened, self::Due, self::Published, self::Reopened, self::Moved];
    }
}
