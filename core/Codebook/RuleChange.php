<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
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

    /**
     * The rules that differ between two versions, under the lenses both hold; the same change is told once.
     *
     * @return list<self>
     *
     * @throws CoreException
     */
    public static function between(CodebookDocument $before, CodebookDocument $now): array
    {
        $found = [];
        foreach (array_intersect_key($now->lenses(), $before->lenses()) as $lens => $name) {
            [$is, $was] = [$now->under($lens)->faults, $before->under($lens)->faults];
            foreach ($is + $was as $key => $fault) {
                [$new, $old] = [$is[$key] ?? null, $was[$key] ?? null];
                foreach (['supported', 'contradicted'] as $member) {
                    $pair = [$old?->{$member}->remark(), $new?->{$member}->remark()];
                    $isOther = json_encode($pair[0]) !== json_encode($pair[1]);
                    if ($isOther && ($member === 'supported' || ($new !== null && $old !== null))) {
                        $id = (string) json_encode([$key, $member, $pair]);
                        $found[$id] ??= [$key, $fault->name, $new === null ? 'gone' : $member, $pair, []];
                        $found[$id][4][] = $name;
                    }
                }
            }
        }

        return array_values(array_map(
            static fn (array $c): self => new self($c[0], $c[1], $c[2], $c[3][0], $c[3][1], $c[4]),
            $found,
        ));
    }
}
