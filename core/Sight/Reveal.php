<?php

declare(strict_types=1);

namespace Core\Sight;

/** How much of a case a debrief has shown so far, in its order. */
enum Reveal: int
{
    case Swing = 0;
    /** How the calls were spread, without names. */
    case Spread = 1;
    /** What the panel says. */
    case Panel = 2;
    /** What was measured, with its ±. */
    case Measured = 3;
    /** What the ball did. */
    case Flight = 4;
    /** How the head coach ruled. */
    case Ruling = 5;

    public function covers(self $other): bool
    {
        return $this->value >= $other->value;
    }

    /** @return list<Thing> what may be seen when so much is shown; names never */
    public function things(): array
    {
        return array_values(array_filter([
            $this->covers(self::Spread) ? Thing::Calls : null,
            $this->covers(self::Panel) ? Thing::Key : null,
            $this->covers(self::Measured) ? Thing::Numbers : null,
            $this->covers(self::Flight) ? Thing::Flight : null,
        ]));
    }
}
