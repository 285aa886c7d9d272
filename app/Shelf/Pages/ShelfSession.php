<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

/** What one golfer swung in one session with one club on one device. */
final readonly class ShelfSession
{
    /** @param  non-empty-list<ShelfSwing>  $swings  in the order in which they came */
    public function __construct(
        public string $golfer,
        public string $about,
        public string $club,
        public string $device,
        public string $consent,
        public array $swings,
    ) {
    }
}
