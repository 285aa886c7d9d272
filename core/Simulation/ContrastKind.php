<?php

declare(strict_types=1);

namespace Core\Simulation;

/** What the swings of a contrast set differ in. */
enum ContrastKind: string
{
    /** One fault: not there, slight, clear, dominant. */
    case Fault = 'fault';
    /** Neither, the one or the other of two that are taken for one another. */
    case Alike = 'alike';
    /** A thing that goes wrong with an instrument, and a fault that looks like it in the trace. */
    case Artefact = 'artefact';
    /** The same golfer with and without the fault, easy and at full speed. */
    case Speed = 'speed';
}
