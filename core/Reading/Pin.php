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
     *
     * @throws CoreException
     */
    public function __construct(
        public string $on,
        public ?float $t = null,
        public string $reason = '',
        public ?string $view = null,
        public int $swing = 1,
    ) {
        $timed = in_array($on, self::TIMED, true);
        if (! $timed && ! in_array($on, self::WHOLE, true)) {
            throw new CoreException('A pin stands on film, trace, ball, strike or turf.');
        }
        if ($timed !== ($t !== null)) {
            throw new CoreException($timed ? "A pin on $on needs its time." : "A pin on the $on has no time.");
        }
        if ($t !== null && (! is_finite($t) || $t < 0.0 || $t > 600.0)) {
            throw new CoreException('A pin must lie within the recording.');
        }
        if (mb_strlen($reason) > self::REASON) {
            throw new CoreException('A pin\'s reason is short: '.self::REASON.' characters at most.');
        }
        if ($view !== null && ($on !== 'film' || ! in_array($view, ['face-on', 'down-the-line'], true))) {
            throw new CoreException('Only a pin on film names a view: face-on or down-the-line.');
        }
        if ($swing < 1 || $swing > 6) {
            throw new CoreException('A case has one to six swings.');
        }
    }

    /** @return array{on: string, t?: float, reason?: string, view?: string, swing?: int} */
    public function toArray(): array
    {
        return [
            'on' => $this->on,
            ...$this->t === null ? [] : ['t' => round($this->t, 4)],
            ...$this->reason === '' ? [] : ['reason' => $this->reason],
            ...$this->view === null ? [] : ['view' => $this->view],
            ...$this->swing === 1 ? [] : ['swing' => $this->swing],
        ];
    }
}
