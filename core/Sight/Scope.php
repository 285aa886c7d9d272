<?php

declare(strict_types=1);

namespace Core\Sight;

/**
 * What a golfer agrees to. Each use of a recording asks for its own; what was once called training is staff training.
 */
enum Scope: string
{
    /** The golfer's own lessons: the Bench of who teaches them, the note, follow-up. */
    case Lessons = 'lessons';
    /** The staff read the swing: panel, rounds, practice, tests. */
    case StaffTraining = 'staff-training';
    /** The film is shown to a room. */
    case DebriefFilm = 'debrief-film';
    /** An example that stands in teaching material. */
    case TeachingMaterial = 'teaching-material';
    /** Leaves the academy for research. */
    case Research = 'research';
}
