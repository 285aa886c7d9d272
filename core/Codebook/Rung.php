<?php

declare(strict_types=1);

namespace Core\Codebook;

/** How far up from a rehearsal to the course a change is taken; it may break on any rung. */
enum Rung: string
{
    case Rehearsal = 'rehearsal';
    case WithClub = 'with-club';
    case HalfSwing = 'half-swing';
    case MidIron = 'mid-iron';
    case LongClub = 'long-club';
    case FullSpeed = 'full-speed';
    case Course = 'course';
}
