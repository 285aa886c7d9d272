<?php

declare(strict_types=1);

namespace Core\Sight;

/** One place where a recording stands in a sitting in which the person has a seat. */
final readonly class Place
{
    /**
     * @param  int  $sitting  which sitting
     * @param  bool  $pending  whether the person's blind reading of it is still to be handed in
     * @param  bool  $reserved  kept from its readers after publishing too
     * @param  bool  $withdrawn  taken out of the sitting
     */
    public function __construct(
        public int $sitting,
        public SittingKind $kind,
        public SittingState $state,
        public bool $pending = false,
        public bool $reserved = false,
        public bool $withdrawn = false,
    ) {
    }

    /**
     * Why the recording is to be seen nowhere but on the person's own sheet; null where this place does not hide it.
     */
    public function hides(): ?Why
    {
        return match (true) {
            $this->state === SittingState::Draft, $this->withdrawn => null,
            $this->reserved => Why::Reserved,
            // In a following round nothing is read blind: its cases were.
            $this->state === SittingState::Open
                && $this->pending
                && $this->kind !== SittingKind::Following => Why::Awaited,
            $this->state->isUnderWay() => Why::Unpublished,
            default => null,
        };
    }

    public function isPublished(): bool
    {
        return $this->state === SittingState::Published && ! $this->withdrawn && ! $this->reserved;
    }
}
