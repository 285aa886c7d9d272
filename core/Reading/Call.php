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
    ) {
        if (
            $presence !== Presence::Present &&
            ($severity !== null || $onset !== null || $decision !== null || $trend !== null)
        ) {
            throw new CoreException('Severity, onset, trend and what to do belong only to a fault called present.');
        }
        if ($confidence !== null && ($confidence < 50 || $confidence > 100)) {
            throw new CoreException('Confidence lies between 50 and 100 per cent.');
        }
        if (count($pins) > self::PINS) {
            throw new CoreException('A call has '.self::PINS.' pins at most.');
        }
        if ($presence === Presence::CannotTell && $confidence !== null) {
            throw new CoreException("'Cannot tell' carries no confidence.");
        }
    }
}
