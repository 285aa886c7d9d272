<?php

declare(strict_types=1);

namespace Core\Sight;

/** How a person stands to one recording: what consent covers, what the person is, and every place it has for them. */
final readonly class Standing
{
    /**
     * @param  bool  $consents  whether the golfer agrees today that the staff read it
     * @param  bool  $held  whether film and trace are held, and not erased
     * @param  bool  $leads  whether the person is a head coach
     * @param  list<Place>  $places  in sittings where the person has a seat
     * @param  bool  $lessons  whether the golfer agrees today that who teaches looks at it
     * @param  bool  $own  whether the golfer is this person
     * @param  bool  $feelAwaited  whether its golfer has still to say what was felt
     * @param  bool  $example  whether it stands in the codebook as an example, with consent for teaching material
     *     today, and is kept for no later round
     * @param  bool  $kept  whether some round keeps it for later
     * @param  bool  $looked  whether a truth about it was within the person's sight before
     * @param  bool  $room  whether the golfer agrees today that the film is shown to a room
     * @param  bool  $gives  whether the person gives the session it belongs to
     */
    public function __construct(
        public bool $consents,
        public bool $held,
        public bool $leads,
        public array $places = [],
        public bool $lessons = false,
        public bool $own = false,
        public bool $room = false,
        public bool $feelAwaited = false,
        public bool $example = false,
        public bool $looked = false,
        public bool $kept = false,
        public bool $gives = false,
    ) {
    }

    /** Whether anything agreed to lets this person look at it outside a sitting. */
    public function isOpen(): bool
    {
        return $this->consents || ($this->leads && $this->lessons) || $this->isTaught();
    }

    /** Whether the person teaches with it, and the golfer agrees to that. */
    public function isTaught(): bool
    {
        return $this->gives && $this->lessons;
    }

    /** The strongest reason for which it is to be seen on the own sheet only; null where none is. */
    public function hiddenBy(): ?Why
    {
        $found = null;
        foreach ($this->places as $place) {
            $why = $place->hides();
            if ($why === Why::Awaited) {
                return $why;
            }
            // As absent before as not yet: what is kept is told of by no other place.
            $found = $found === Why::Reserved ? $found : $why ?? $found;
        }

        return $found;
    }

    public function isPublished(): bool
    {
        foreach ($this->places as $place) {
            if ($place->isPublished()) {
                return true;
            }
        }

        return false;
    }
}
