<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Trace\Quality;
use Core\Trace\QualityFinding;

/** A swing measured with the faults of its instrument taken into account. */
final readonly class Assessment
{
    /**
     * @param  list<QualityFinding>  $findings
     * @param  Measurements  $unlimited  as if the instrument had been sound
     */
    private function __construct(
        public Measurements $measurements,
        public array $findings,
        private Measurements $unlimited,
    ) {
    }

    /** @throws CoreException */
    public static function ofEvidence(Evidence $evidence): self
    {
        $findings = self::findingsOf($evidence);
        $all = Meter::read($evidence);

        return new self($all->limitedBy($findings), $findings, $all);
    }

    /**
     * What is wrong with the instrument, and whether it recorded one swing.
     *
     * @return list<QualityFinding> the gravest first
     *
     * @throws CoreException
     */
    public static function findingsOf(Evidence $evidence): array
    {
        $flaws = $evidence->trace === null ? [] : Quality::findings($evidence->trace);
        $occasion = Occasion::findings($evidence, $flaws);
        $isGrave = $occasion !== [] && $occasion[0]->severity === 'serious';

        return $isGrave ? [...$occasion, ...$flaws] : [...$flaws, ...$occasion];
    }

    /** @return list<QualityNote> every finding with the keys of the measures it touches */
    public function quality(): array
    {
        return array_map(
            fn (QualityFinding $f): QualityNote => new QualityNote(
                $f,
                $f->effect === QualityFinding::UNAFFECTED ? [] : $this->unlimited->touchedBy($f),
            ),
            $this->findings,
        );
    }
}
