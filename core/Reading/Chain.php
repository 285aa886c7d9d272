<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\CoreException;

/**
 * What leads to what in one swing, as a rater sees it: links from cause to effect that never come back on themselves.
 */
final readonly class Chain
{
    private const MOST = 16;

    /**
     * @param  list<array{string, string}>  $links  cause and effect: fault keys; as a cause also one outside the
     *     feet
     *
     * @throws CoreException
     */
    public function __construct(public array $links = [])
    {
        if (count($links) > self::MOST) {
            throw ReadingException::because('chain-long', most: self::MOST);
        }
        $seen = [];
        foreach ($links as [$from, $to]) {
            if ($from === $to) {
                throw ReadingException::because('chain-itself');
            }
            if (Reading::isOutside($to)) {
                throw ReadingException::because('chain-effect');
            }
            if (isset($seen["$from|$to"])) {
                throw ReadingException::because('chain-twice');
            }
            $seen["$from|$to"] = true;
        }
        if ($this->layers() === null) {
            throw ReadingException::because('chain-circle');
        }
    }

    /** @return list<string> every finding in the chain, in the order first named */
    public function nodes(): array
    {
        return array_values(array_unique(array_merge(...$this->links)));
    }

    /** @return list<string> findings that nothing in the chain leads to */
    public function roots(): array
    {
        return array_values(array_diff($this->nodes(), array_column($this->links, 1)));
    }

    /**
     * The findings by how many steps at most lead to them, causes first.
     *
     * @return list<list<string>>|null null where the links run in a circle
     */
    public function layers(): ?array
    {
        $left = $this->nodes();
        $links = $this->links;
        $out = [];
        while ($left !== []) {
            $free = array_values(array_diff($left, array_column($links, 1)));
            if ($free === []) {
                return null;
            }
            $out[] = $free;
            $left = array_values(array_diff($left, $free));
            $links = array_values(array_filter($links, static fn (array $l): bool => ! in_array($l[0], $free, true)));
        }

        return $out;
    }
}
