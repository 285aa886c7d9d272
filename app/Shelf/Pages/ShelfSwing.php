<?php

declare(strict_types=1);

namespace App\Shelf\Pages;

/** One swing on the Shelf: the shape of its trace, and what is known of it in a few words. */
final readonly class ShelfSwing
{
    /**
     * @param  string  $id  public identifier
     * @param  string  $shape  the lead share from address to finish, as an SVG path in a box of 120 × 36
     * @param  string  $evidence  film, figure or neither, in words
     * @param  list<string>  $faults  names of those the measurement supports
     * @param  list<string>  $findings  what is wrong with the recording, in sentences
     */
    public function __construct(
        public string $id,
        public string $url,
        public string $shape,
        public bool $cold,
        public string $evidence,
        public bool $measured,
        public array $faults,
        public array $findings,
    ) {
    }
}
