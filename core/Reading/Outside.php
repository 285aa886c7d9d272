<?php

declare(strict_types=1);

namespace Core\Reading;

/**
 * A cause that is not in the feet, as a reader names it. Two readers who name different ones do not agree; what fits
 * none is said in words.
 */
enum Outside: string
{
    case Grip = 'outside-grip';
    /** Arms and hands: let go too soon, held on too long, thrown out. */
    case EarlyRelease = 'outside-early-release';
    case HeldOn = 'outside-held-on';
    case ThrownOut = 'outside-thrown-out';
    case Path = 'outside-path';
    case Posture = 'outside-posture';
    case BallPosition = 'outside-ball-position';
    case Fear = 'outside-fear';
    case EarlierCue = 'outside-earlier-cue';
    case Speed = 'outside-speed';
    case Cold = 'outside-cold';
    case Equipment = 'outside-equipment';
    case Limit = 'outside-limit';
    case Other = 'outside-other';
}
