<?php

declare(strict_types=1);

namespace Core\Codebook;

/**
 * The fault catalogue as shipped, version 2, as plain data in the published form of a codebook document. Rules are
 * those of the default lens; other lenses override them by key. Sights: the first whose needs are all met says how
 * well the fault is seen; an indirect one may carry rules of its own over the proxy.
 */
final class StandardFaults
{
    /**
     * @param  array<mixed>|null  $yes
     * @param  array<mixed>|null  $no
     * @return list<array<string, mixed>>
     */
    public static function pressure(
        string $proxy,
        ?array $yes = null,
        ?array $no = null,
        string $film = 'indirect',
    ): array {
        return [
            ['needs' => ['pressure'], 'sight' => 'observable'],
            ...array_map(
                static fn (string $view): array => array_filter([
                    'needs' => [$view],
                    'sight' => $film,
                    'proxy' => $film === 'indirect' ? $proxy : null,
                    'supported' => $yes,
                    'contradicted' => $no,
                ], static fn (mixed $value): bool => $value !== null && $value !== []),
                ['points', 'face-on'],
            ),
        ];
    }

    /** @return array<string, array<string, mixed>> by fault key, in the order in which they show in a swing */
    public static function rows(): array
    {
        return StandardFaultsGoingBack::rows()
            + StandardFaultsStartingDown::rows()
            + StandardFaultsThroughTheBall::rows();
    }
}
