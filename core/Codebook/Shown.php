<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Evidence;
use Core\Measurement\Occasion;
use Core\Motion\View;
use Core\Trace\DeviceClass;
use Core\Trace\QualityFinding;
use Core\Trace\Signal;

/** The evidence put before a rater, or held by the academy: which instrument, which views of the body. */
final readonly class Shown
{
    /** What a fault's sights may ask for. */
    public const KINDS = [
        'pressure',
        'mat',
        'force',
        'foot-force',
        'foot-push',
        'foot-cop',
        'cop-y',
        'flare',
        'face-on',
        'down-the-line',
        'points',
    ];

    /**
     * @param  bool  $film  both views of the film
     * @param  list<View>  $views  single views, where not both
     * @param  float|null  $rateHz  of the trace, where known
     * @param  list<Signal>  $lost  signals that the instrument failed to give
     * @param  bool  $footCop  whether a mat reports the centre of pressure of each foot
     * @param  bool  $flare  whether the stance says how far the lead foot points toward the target
     */
    public function __construct(
        public ?DeviceClass $device,
        public bool $film,
        public bool $points = false,
        public array $views = [],
        public ?float $rateHz = null,
        public array $lost = [],
        public bool $stance = true,
        public bool $mass = true,
        public bool $footCop = true,
        public bool $flare = false,
    ) {
    }

    /**
     * What is held of one swing, without the signals that faults of the instrument take away over the swing.
     *
     * @param  list<QualityFinding>  $findings
     *
     * @throws CoreException
     */
    public static function fromEvidence(Evidence $evidence, array $findings = []): self
    {
        $trace = $evidence->trace;
        $lost = [];
        foreach ($findings as $finding) {
            // Whether it was one swing has nothing to do with what an instrument can show.
            if (in_array($finding->kind, Occasion::KINDS, true)) {
                continue;
            }
            if ($finding->effect === QualityFinding::NULLED && ! $finding->timingsOnly && $finding->span === null) {
                array_push($lost, ...$finding->signals);
            }
        }

        return new self(
            $trace?->device, false, $evidence->views->has(View::Points),
            array_values(array_filter([View::FaceOn, View::DownTheLine], $evidence->views->has(...))),
            $trace?->rateHz, $lost, ($evidence->stance ?? $trace?->stance) !== null, $trace?->massKg !== null,
            $trace === null || $trace->series('trail_copx_mm') !== null,
            ($evidence->stance ?? $trace?->stance)?->lead->flareDeg !== null,
        );
    }

    /** @return list<string> the kinds of evidence a fault's requirements speak of */
    public function kinds(): array
    {
        $has = fn (Signal $signal): bool => $this->device !== null && ! in_array($signal, $this->lost, true);
        $forces = $this->mass && $this->device?->measuresForce() === true;
        $dual = $this->device === DeviceClass::DualPlate;

        return array_keys(
            array_filter([
                'pressure' => $has(Signal::Share) && ($this->device !== DeviceClass::Plate || $this->stance),
                'mat' => $this->device === DeviceClass::Mat && $has(Signal::Share),
                'force' => $forces && $has(Signal::Total),
                'foot-force' => $forces && $dual && $has(Signal::FootForce),
                'foot-push' => $forces && $dual && $has(Signal::Horizontal),
                'foot-cop' => $this->stance &&
                    ($dual || ($this->device === DeviceClass::Mat && $this->footCop)) &&
                    $has(Signal::FootCop),
                'cop-y' => $this->stance && $has(Signal::Cop),
                'flare' => $this->flare,
                'face-on' => $this->film || in_array(View::FaceOn, $this->views, true),
                'down-the-line' => $this->film || in_array(View::DownTheLine, $this->views, true),
                'points' => $this->points,
            ]),
        );
    }

    /** @return list<string> what is there: points, film (both views), face-on, down-the-line, and the device class */
    public function evidence(): array
    {
        $both = $this->film
            || count(array_filter($this->views, static fn (View $v): bool => $v !== View::Points)) === 2;

        return [
            ...($this->points ? [View::Points->value] : []),
            ...($both ? ['film'] : array_map(static fn (View $v): string => $v->value, $this->views)),
            ...($this->device === null ? [] : [$this->device->value]),
        ];
    }
}
