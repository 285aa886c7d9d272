<?php

declare(strict_types=1);

namespace Core\Sight;

use Core\Reading\Stage;

/**
 * What a person may see now, and why not the rest. The only place where this is decided: every page, file, figure and
 * policy asks here. The rules are the rows of a table; the first that fits counts.
 */
final readonly class Sight
{
    /** @param  list<Thing>  $things */
    private function __construct(private array $things, public ?Why $why)
    {
    }

    public static function nothing(Why $why): self
    {
        return new self([], $why);
    }

    /** Of a recording anywhere but on the person's own sheet of it. */
    public static function ofRecording(Standing $s): self
    {
        return match (true) {
            ! $s->isOpen() && ! $s->example => self::nothing(Why::Consent),
            ! $s->held => self::nothing(Why::Erased),
            $s->feelAwaited => self::these(Thing::Film, Thing::Context),
            $s->own => self::nothing(Why::Own),
            $s->hiddenBy() !== null => self::nothing($s->hiddenBy()),
            $s->isOpen()
                && $s->leads => self::these(Thing::Film, Thing::Trace, Thing::Context, Thing::Flight, Thing::Numbers),
            $s->consents && $s->isPublished() => self::these(
                Thing::Film,
                Thing::Trace,
                Thing::Context,
                Thing::Flight,
                Thing::Numbers,
                Thing::Key,
                Thing::Calls,
            ),
            // What one teaches with is measured for that; what others made of it is not.
            $s->isTaught() => self::these(Thing::Film, Thing::Trace, Thing::Context, Thing::Flight, Thing::Numbers),
            $s->example && $s->looked => self::these(
                Thing::Film,
                Thing::Trace,
                Thing::Context,
                Thing::Numbers,
                Thing::Key,
            ),
            default => self::nothing(Why::NotTheirs),
        };
    }

    /**
     * Whether a person may be asked about it in practice: nothing of it waits to be read blind, nor is kept for that.
     */
    public static function mayPractise(Standing $s): bool
    {
        return $s->consents && $s->held && ! $s->feelAwaited && ! $s->own && ! $s->kept && $s->hiddenBy() === null;
    }

    /**
     * In practice: the swing; after the answer what was measured, what the ball did, what a panel made of it, and why.
     *
     * @param  bool  $answered  whether the person has answered what is asked
     */
    public static function ofPractice(Standing $s, bool $answered): self
    {
        return match (true) {
            ! $s->consents => self::nothing(Why::Consent),
            ! $s->held => self::nothing(Why::Erased),
            $s->own => self::nothing(Why::Own),
            $s->hiddenBy() !== null => self::nothing($s->hiddenBy()),
            ! self::mayPractise($s) => self::nothing(Why::NotTheirs),
            $answered => self::these(
                Thing::Film,
                Thing::Trace,
                Thing::Context,
                Thing::Flight,
                Thing::Numbers,
                Thing::Key,
                Thing::Calls,
            ),
            default => self::these(Thing::Film, Thing::Trace, Thing::Context),
        };
    }

    /** Whether the codebook offers it to this person as an example: who takes it up has seen an answer from then on. */
    public static function offersExample(Standing $s): bool
    {
        return $s->example && $s->held && ! $s->feelAwaited && ! $s->own && $s->hiddenBy() === null;
    }

    /**
     * Of a recording in what one sitting came to: its key and its calls. A head coach sees a panel's after closing and
     * a staff round's after publishing; whoever had a seat in it, without names, after publishing.
     */
    public static function ofResult(Standing $s, int $sitting, SittingKind $kind, SittingState $state): self
    {
        $of = $s->consents ? self::ofRecording($s) : self::nothing(Why::Consent);
        // What hides the numbers hides all that was made of them.
        if (! $of->shows(Thing::Numbers)) {
            return self::nothing($of->why ?? Why::Feel);
        }
        $there =
            array_filter($s->places, static fn (Place $p): bool => $p->sitting === $sitting
                && $p->isPublished()) !== [];

        return match (true) {
            $s->leads && ($state === SittingState::Published || ($kind->makesKey()
                && $state === SittingState::Closed)) => self::these(...Thing::cases()),
            $s->leads => $of,
            $there => self::these(...array_filter(Thing::cases(), static fn (Thing $t): bool => $t !== Thing::Names)),
            default => self::nothing(Why::NotTheirs),
        };
    }

    /** Whether its film may be shown to a room by this person: that is a use of its own. */
    public static function mayShowRoom(Standing $s): bool
    {
        return $s->room && self::ofRecording($s)->shows(Thing::Film);
    }

    /** Whether a person may look at it in a private review: it is their own, and something of it may still be used. */
    public static function mayReview(Standing $s): bool
    {
        return $s->own && $s->held && ($s->consents || $s->lessons);
    }

    /**
     * On the person's own sheet of a case; the standing is to any one of its swings, and needs no places while the turn
     * is unread.
     */
    public static function ofReading(Standing $s, Turn $turn): self
    {
        $shown = [...($turn->film ? [Thing::Film] : []), ...($turn->trace ? [Thing::Trace] : []), Thing::Context];

        return match (true) {
            ! $s->consents && ! ($turn->review && $s->lessons) => self::nothing(Why::Consent),
            ! $s->held => self::nothing(Why::Erased),
            $turn->withdrawn => self::nothing(Why::NotTheirs),
            $s->own !== $turn->review => self::nothing($s->own ? Why::Own : Why::NotTheirs),
            ! $turn->begun => self::nothing(Why::TooSoon),
            $turn->isUnread() => self::these(...$shown),
            $turn->repeats && $turn->left > 0 => self::nothing(Why::Others),
            $turn->stage === Stage::Blind => self::these(...$shown),
            // An own swing that was dealt before anybody said whose it is is read blind nowhere any more.
            $s->hiddenBy() === Why::Awaited && ! $turn->review => self::nothing(Why::Awaited),
            default => self::these(...$shown, ...[Thing::Flight, Thing::Numbers]),
        };
    }

    /**
     * On a question of a following round: what the person was shown on the own blind sheet, and what the others said
     * without their names; never numbers or a key.
     *
     * @param  Turn  $turn  of the own blind sheet
     * @param  bool  $asked  whether the person has a seat in it, and it is open
     */
    public static function ofFollowing(Standing $s, Turn $turn, bool $asked): self
    {
        $of = self::ofJudging($s, $turn, $asked);

        return $of->why === null ? self::these(...[...$of->things, Thing::Calls]) : $of;
    }

    /**
     * Where a panel judges drills: what the person was shown on the own blind sheet, and nothing of what others said.
     *
     * @param  Turn  $turn  of the own blind sheet
     * @param  bool  $asked  whether it is asked of the person, and still open
     */
    public static function ofJudging(Standing $s, Turn $turn, bool $asked): self
    {
        return match (true) {
            ! $s->consents => self::nothing(Why::Consent),
            ! $s->held => self::nothing(Why::Erased),
            $s->own => self::nothing(Why::Own),
            // Somewhere else it is still to be read blind: what others said would colour that.
            $s->hiddenBy() === Why::Awaited => self::nothing(Why::Awaited),
            ! $asked || ! $turn->handedIn || $turn->withdrawn => self::nothing(Why::NotTheirs),
            default => self::these(
                ...($turn->film ? [Thing::Film] : []),
                ...($turn->trace ? [Thing::Trace] : []),
                ...[Thing::Context],
            ),
        };
    }

    /**
     * In a debrief that shows it now: the swing, its film only where the golfer agrees to a room, and what the
     * presenter has shown of it; never a name.
     *
     * @param  bool  $joined  whether the person takes part
     */
    public static function ofDebrief(Standing $s, Reveal $shown, bool $joined): self
    {
        return match (true) {
            ! $s->consents => self::nothing(Why::Consent),
            ! $s->held => self::nothing(Why::Erased),
            $s->feelAwaited => self::nothing(Why::Feel),
            $s->own => self::nothing(Why::Own),
            $s->hiddenBy() !== null => self::nothing($s->hiddenBy()),
            ! $joined => self::nothing(Why::NotTheirs),
            default => self::these(
                ...($s->room ? [Thing::Film] : []),
                ...[Thing::Trace, Thing::Context],
                ...$shown->things(),
            ),
        };
    }

    /**
     * Of what is made from several: what may be seen of every one of them.
     *
     * @param  iterable<self>  $sights
     */
    public static function ofAll(iterable $sights): self
    {
        $sights = is_array($sights) ? $sights : iterator_to_array($sights, false);
        if (count($sights) === 1) {
            return $sights[array_key_first($sights)];
        }
        $things = Thing::cases();
        $why = null;
        foreach ($sights as $sight) {
            $things = array_values(array_filter($things, $sight->shows(...)));
            $why ??= $sight->why;
        }

        return new self($things, $things === [] ? $why ?? Why::NotTheirs : null);
    }

    /**
     * Why a figure made from several recordings is withheld whole: one of them is hidden, and what the others lack
     * would
     * tell it. Null where none is. A consent that ended takes no published figure away.
     *
     * @param  iterable<Standing>  $standings
     */
    public static function withholds(iterable $standings): ?Why
    {
        $found = null;
        foreach ($standings as $standing) {
            $why = $standing->hiddenBy();
            // What lasts is said before what passes, in whatever order they come.
            if ($why === Why::Reserved) {
                return $why;
            }
            if ($why !== null && $why->spoilsFigures() && $found !== Why::Awaited) {
                $found = $why;
            }
        }

        return $found;
    }

    public function shows(Thing $thing): bool
    {
        return in_array($thing, $this->things, true);
    }

    public function isNothing(): bool
    {
        return $this->things === [];
    }

    private static function these(Thing ...$things): self
    {
        return new self(array_values($things), null);
    }
}
