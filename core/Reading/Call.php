<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\CoreException;
use Core\Motion\Station;

/** What one rater says of one fault in one case. */
final readonly class Call
{
    public const PINS = 6;

    /**
     * @param  Severity|null  $severity  only with present
     * @param  int|null  $confidence  per cent, 50 to 100; not with cannot tell
     * @param  list<Pin>  $pins  six at most
     * @param  Trend|null  $trend  in a pair only: what became of it; present then means in either swing
     * @param  Outside|null  $reaction  what outside the feet it answers to; only with present
     * @param  bool  $sound  that it is not there and is to be kept so; only with absent
     *
     * @throws CoreException
     */
    public function __construct(
        public string $fault,
        public Presence $presence,
        public ?Severity $severity = null,
        public ?Station $onset = null,
        public ?Decision $decision = null,
        public ?int $confidence = null,
        public array $pins = [],
        public ?Trend $trend = null,
        public ?Outside $reaction = null,
        public bool $sound = false,
    ) {
        if (
            $presence !== Presence::Present &&
            ($severity !== null || $onset !== null || $decision !== null || $trend !== null || $reaction !== null)
        ) {
            throw ReadingException::because('only-present');
        }
        if ($sound && $presence !== Presence::Absent) {
            throw ReadingException::because('sound-absent');
        }
        if ($confidence !== null && ($confidence < 50 || $confidence > 100)) {
            throw ReadingException::because('confidence');
        }
        if (count($pins) > self::PINS) {
            throw ReadingException::because('many-pins', pins: self::PINS);
        }
        if ($presence === Presence::CannotTell && $confidence !== null) {
            throw ReadingException::because('cannot-tell');
        }
    }
}
