<?php

declare(strict_types=1);

namespace Core\Training;

/** What is practised. */
enum Mode: string
{
    /** Whether one fault is there. */
    case Fault = 'fault';
    /** Which of two that look alike it is. */
    case Alike = 'alike';
    /** The top, or impact, to the frame. */
    case Moment = 'moment';
    /** Whether a fault can be seen at all in what is shown. */
    case Seen = 'seen';
    /** First cause, now or later, drill for this body. */
    case Advice = 'advice';
    /** Whether the golfer did it, or the instrument. */
    case Artefact = 'artefact';
    /** The same golfer easy and at full speed: where the fault is. */
    case Speed = 'speed';
    /** One case whole: every fault that counts, and what comes first. */
    case Whole = 'whole';
}
