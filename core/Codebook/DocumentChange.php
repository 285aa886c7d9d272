<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Remark\Remark;

/** One member of a codebook document that is another than it was. */
final readonly class DocumentChange
{
    /**
     * @param  'faults'|'lenses'|'drills'|'words'|'cues'  $part
     * @param  string  $key  of the fault, lens, drill, word or phrase
     * @param  string  $name  what people call it
     * @param  list<string>  $member  the way to what changed within it; none: the whole is new, or gone
     * @param  Remark|string|null  $was  a rule as what it asks, all else as words; null: it was not there
     * @param  Remark|string|null  $is  null: it is there no longer
     */
    public function __construct(
        public string $part,
        public string $key,
        public string $name,
        public array $member,
        public Remark|string|null $was,
        public Remark|string|null $is,
    ) {
    }
}
