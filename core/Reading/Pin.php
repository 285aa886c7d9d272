<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\CoreException;

/** A place in the evidence that a rater points to, and in a few words why. */
final readonly class Pin
{
    /** Film and trace are pointed to at a time; ball, strike and the mark on turf or shoe as a whole. */
    public const TIMED = ['film', 'trace'];

    public const WHOLE = ['ball', 'strike', 'turf'];

    public const REASON = 120;

    /**
     * @param  'film'|'trace'|'ball'|'strike'|'turf'  $on
     * @param  float|null  $t  seconds from the start of the recording; for film and trace only
     * @param  string  $reason  at most REASON characters
     * @param  string|null  $view  of the film pointed to
     * @param  int  $swing  which swing of the case, from 1
     * @param  Turf|null  $turf  what the mark on turf or shoe is; null where it is not said
     *
     * @throws CoreException
     */
    public function __construct(
        public string $on,
        public ?float $t = null,
        public string $reason = '',
        public ?string $view = null,
        public int $swing = 1,
        public ?Turf $turf = null,
    ) {
        if ($turf !== null && ($on !== 'turf' || ! in_array($turf, Turf::PINNED, true))) {
            throw ReadingException::because('pin-turf');
        }
        $timed = in_array($on, self::TIMED, true);
        if (! $timed && ! in_array($on, self::WHOLE, true)) {
            throw ReadingException::because('pin-on');
        }
        if ($timed !== ($t !== null)) {
            throw ReadingException::because($timed ? 'pin-timed' : 'pin-untimed', on: $on);
        }
        if ($t !== null && (! is_finite($t) || $t < 0.0 || $t > 600.0)) {
            throw ReadingException::because('pin-outside');
        }
        if (mb_strlen($reason) > self::REASON) {
            throw ReadingException::because('pin-reason', most: self::REASON);
        }
        if ($view !== null && ($on !== 'film' || ! in_array($view, ['face-on', 'down-the-line'], true))) {
            throw ReadingException::because('pin-view');
        }
        if ($swing < 1 || $swing > 6) {
            throw ReadingException::because('swing');
        }
    }

    /** @return array{on: string, t?: float, reason?: string, view?: string, swing?: int, turf?: string} */
    public function toArray(): array
    {
        return [
            'on' => $this->on,
            ...$this->t === null ? [] : ['t' => round($this->t, 4)],
            ...$this->reason === '' ? [] : ['reason' => $this->reason],
            ...$this->view === null ? [] : ['view' => $this->view],
            ...$this->swing === 1 ? [] : ['swing' => $this->swing],
            ...$this->turf === null ? [] : ['turf' => $this->turf->value],
        ];
    }
}
