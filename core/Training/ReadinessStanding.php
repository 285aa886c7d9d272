<?php

declare(strict_types=1);

namespace Core\Training;

use Core\CoreException;

/** Where somebody stands beside one rule, from all that was decided, and what may be decided next. */
final readonly class ReadinessStanding
{
    private function __construct(
        public ReadinessState $state,
        public bool $isAppealed,
        public ?string $until,
        private ?DecisionKind $appealsWhat,
    ) {
    }

    /**
     * @param  list<array{DecisionKind, ?string}>  $decisions  in order, each with the day a sign-off ends, Y-m-d
     * @param  string  $today  Y-m-d
     * @param  bool  $isAway  nothing was read for longer than the rule allows
     *
     * @throws CoreException where a decision does not follow from those before it
     */
    public static function of(array $decisions, string $today, bool $isAway = false): self
    {
        $now = new self(ReadinessState::None, false, null, null);
        foreach ($decisions as [$what, $until]) {
            if (! $now->may($what)) {
                throw TrainingException::because('step', state: $now->state->value);
            }
            $now = $now->after($what, $until);
        }
        if ($now->state !== ReadinessState::SignedOff) {
            return $now;
        }
        // The day it ends on is the last on which it holds.
        $state = match (true) {
            $now->until !== null && $now->until < $today => ReadinessState::Expired,
            $isAway => ReadinessState::Recheck,
            default => ReadinessState::SignedOff,
        };

        return new self($state, $now->isAppealed, $now->until, $now->appealsWhat);
    }

    /** Whether this may be decided, or asked, now. */
    public function may(DecisionKind $what): bool
    {
        $barred = in_array($this->state, [ReadinessState::Refused, ReadinessState::Suspended], true);

        return match ($what) {
            // Anew as well: a sign-off that ends, or after a refusal, once nothing is appealed.
            DecisionKind::SignedOff,
            DecisionKind::Refused => ! $this->isAppealed && $this->state !== ReadinessState::Suspended,
            DecisionKind::Suspended => in_array($this->state, [
                ReadinessState::SignedOff,
                ReadinessState::Recheck,
            ], true),
            DecisionKind::Reinstated => $this->state === ReadinessState::Suspended && ! $this->isAppealed,
            DecisionKind::Appealed => $barred && ! $this->isAppealed,
            DecisionKind::Upheld, DecisionKind::TurnedDown => $this->isAppealed,
        };
    }

    /** Whether the person may be left alone today. */
    public function holds(): bool
    {
        return $this->state === ReadinessState::SignedOff;
    }

    private function after(DecisionKind $what, ?string $until): self
    {
        return match ($what) {
            DecisionKind::SignedOff => new self(ReadinessState::SignedOff, false, $until, null),
            DecisionKind::Refused => new self(ReadinessState::Refused, false, null, DecisionKind::Refused),
            DecisionKind::Suspended => new self(
                ReadinessState::Suspended,
                false,
                $this->until,
                DecisionKind::Suspended,
            ),
            DecisionKind::Reinstated => new self(ReadinessState::SignedOff, false, $this->until, null),
            DecisionKind::Appealed => new self($this->state, true, $this->until, $this->appealsWhat),
            // What was suspended holds again as it did; what was refused may be tested and decided anew.
            DecisionKind::Upheld => $this->appealsWhat === DecisionKind::Suspended
                ? new self(ReadinessState::SignedOff, false, $this->until, null)
                : new self(ReadinessState::None, false, null, null),
            DecisionKind::TurnedDown => new self($this->state, false, $this->until, $this->appealsWhat),
        };
    }
}
