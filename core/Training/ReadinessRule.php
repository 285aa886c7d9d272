<?php

declare(strict_types=1);

namespace Core\Training;

use Core\CoreException;
use Core\Planning\SignOff;

/**
 * What somebody must show to be left alone with footwork, on one instrument under one lens: data of the academy, kept
 * in versions. The criteria are tested case by case; the bars are read off the cases read last.
 */
final readonly class ReadinessRule
{
    public const ALPHA = 0.05;

    /** One good reader in ten may be refused: the end of a test at its longest refuses some beside the lines. */
    public const BETA = 0.08;

    /** Bars and good readers as an academy begins. */
    public const BAR = 0.65;

    public const GOOD = 0.85;

    private const MONTHS = [1, 60];

    private const CRITERIA = 12;

    /**
     * @param  non-empty-list<Criterion>  $criteria  all of which must pass
     * @param  array<string, Bar>  $bars  by kind; what is not here is not asked
     * @param  int  $months  how long a sign-off holds
     *
     * @throws CoreException
     */
    public function __construct(public array $criteria, public array $bars, public int $months)
    {
        $names = array_map(static fn (Criterion $c): string => $c->kind->value.$c->name, $criteria);
        if (
            count(array_unique($names)) !== count($criteria) || count($criteria) > self::CRITERIA ||
            $months < self::MONTHS[0] || $months > self::MONTHS[1]
        ) {
            throw TrainingException::because('rule');
        }
    }

    /**
     * The test of a criterion, where calls of a case are alike to this degree and a case has so many of them.
     *
     * @throws CoreException
     */
    public function signOff(Criterion $of, float $callsACase = 1.0, float $alike = 0.0): SignOff
    {
        return new SignOff(
            $of->bar,
            $of->good,
            count($this->criteria),
            max(1.0, $callsACase),
            $alike,
            self::ALPHA,
            self::BETA,
        );
    }

    /** @return list<string> every fault that is tested, once */
    public function faults(): array
    {
        return array_values(array_unique(array_merge(
            ...array_map(static fn (Criterion $c): array => $c->faults, $this->criteria),
        )));
    }
}
