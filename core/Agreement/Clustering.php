<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/**
 * Which cases belong together – one golfer's swings – and are sampled together; a case without a cluster is its own.
 */
final class Clustering
{
    /** @var array<string, string> cluster by case, of the cases that were given one */
    private array $clusters = [];

    /** @throws CoreException when the case is in another cluster already */
    public function group(string $case, string $cluster): void
    {
        $known = $this->clusters[$case] ??= $cluster;
        if ($known !== $cluster) {
            throw AgreementException::because('in-two-clusters', case: $case, one: $known, other: $cluster);
        }
    }

    /**
     * Cases with the rank of their cluster, by cluster and case in byte order; of a case and a cluster of the same name
     * the cluster comes first.
     *
     * @param  list<string>  $cases  in byte order
     * @return list<array{string, int}>
     */
    public function ranked(array $cases): array
    {
        if ($this->clusters === []) {
            return array_map(static fn (string $case, int $rank): array => [$case, $rank], $cases, array_keys($cases));
        }
        $name = [];
        foreach ($cases as $case) {
            $name[] = isset($this->clusters[$case]) ? $this->clusters[$case]."\0" : "$case\0\1";
        }
        // Sorting keeps the order of equals, which is that of the cases.
        asort($name, SORT_STRING);
        $out = [];
        $rank = -1;
        $last = null;
        foreach ($name as $i => $cluster) {
            $rank += $cluster === $last ? 0 : 1;
            $last = $cluster;
            $out[] = [$cases[$i], $rank];
        }

        return $out;
    }

    public function of(string $case): ?string
    {
        return $this->clusters[$case] ?? null;
    }

    public function isEmpty(): bool
    {
        return $this->clusters === [];
    }
}
