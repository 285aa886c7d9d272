<?php

declare(strict_types=1);

namespace Core\Codebook;

/** A school of coaching: a named, versioned set of reference bands, of the faults that count and of rule overrides. */
final readonly class Lens
{
    /**
     * What a lens may teach of the feet: of the trail foot as the downswing starts, of the lead heel in the backswing,
     * of the trail heel at impact.
     */
    public const FOOTWORK = ['trail_foot', 'lead_heel', 'trail_heel'];

    /**
     * @param  array<string, array{float, float}>  $bands by measure key, or measure@STATION
     * @param  list<string>  $off  keys of faults that do not count under it
     * @param  array<string, string>  $footwork  what it teaches, by FOOTWORK
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $says,
        public array $bands,
        public string $version = '1',
        public array $off = [],
        public array $footwork = [],
    ) {
    }
}
