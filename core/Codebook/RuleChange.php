<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Remark\Remark;

/** What one fault's rule is now and was before, under the lenses on which that is so. */
final readonly class RuleChange
{
    /**
     * @param  'supported'|'contradicted'|'gone'  $member
     * @param  Remark|null  $was  null: there was no such fault
     * @param  Remark|null  $is  null: there is none any more
     * @param  list<string>  $lenses  names
     */
    public function __construct(
        public string $fault,
        public string $name,
        public string $member,
        public ?Remark $was,
        public ?Remark $is,
        public array $lenses,
    ) {
    }
}
