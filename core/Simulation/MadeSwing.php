<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Codebook\Codebook;
use Core\Codebook\Shown;
use Core\Codebook\SwingBasis;
use Core\Codebook\Verdict;
use Core\CoreException;
use Core\Measurement\Evidence;
use Core\Measurement\Meter;
use Core\Motion\Handedness;
use Core\Motion\Station;
use Core\Motion\StationTimes;
use Core\Trace\DeviceClass;

/**
 * One swing to be made for training: whose body, which faults at which severity, on which instrument, how fast, and
 * what went wrong with the instrument. The same of it makes the same swing, to the last digit.
 */
final readonly class MadeSwing
{
    /** Bodies that swings are made of. */
    public const BODIES = 40;

    /** What is swung: how long it is and how wide the feet stand, mm. */
    private const CLUBS = [
        'hybrid' => ['clubMm' => 1000.0, 'stanceMm' => 460.0],
        'fairway wood' => ['clubMm' => 1065.0, 'stanceMm' => 500.0],
    ];

    /** Body points a second. */
    private const POINTS_HZ = 120.0;

    /** An easy swing's way back and down, s: about half as fast. */
    private const EASY_BACK_S = 1.25;

    private const EASY_DOWN_S = 0.36;

    /** So long before impact something goes wrong with the instrument, s: in delivery. */
    private const BEFORE_IMPACT_S = 0.12;

    /** Made anew where how it is made changes. */
    private const EDITION = 1;

    /**
     * @param  int  $body  which of the bodies
     * @param  array<string, float>  $faults  severity by fault, above 0 and up to 3
     * @param  bool  $isEasy  at about half the speed
     * @param  string|null  $mishap  a code of Mishap
     *
     * @throws CoreException where a fault or a mishap is none that can be made
     */
    public function __construct(
        public int $body,
        public array $faults,
        public Handedness $hand,
        public DeviceClass $device,
        public bool $isEasy = false,
        public ?string $mishap = null,
    ) {
        new Plant($faults);
        if ($mishap !== null && ! in_array($device, (Mishap::all()[$mishap] ?? null)->devices ?? [], true)) {
            throw SimulationException::because('no-such-mishap', key: $mishap, device: $device->value);
        }
    }

    /**
     * @return array{body: int, faults: array<string, float>, hand: string, device: string, easy: bool, mishap: ?string}
     */
    public function toArray(): array
    {
        $faults = $this->faults;
        ksort($faults);

        return [
            'body' => $this->body,
            'faults' => $faults,
            'hand' => $this->hand->value,
            'device' => $this->device->value,
            'easy' => $this->isEasy,
            'mishap' => $this->mishap,
        ];
    }

    /**
     * @param  array{body: int, faults: array<string, int|float>, hand: string, device: string, easy: bool,
     *     mishap: ?string}  $of
     *
     * @throws CoreException
     */
    public static function fromArray(array $of): self
    {
        return new self(
            $of['body'],
            array_map(floatval(...), $of['faults']),
            Handedness::from($of['hand']),
            DeviceClass::from($of['device']),
            $of['easy'],
            $of['mishap'],
        );
    }

    /** Tells it apart from every other. */
    public function key(): string
    {
        return hash('sha256', self::EDITION.json_encode($this->toArray(), JSON_THROW_ON_ERROR));
    }

    /** @throws CoreException */
    public function spec(): GolferSpec
    {
        // Heights and masses of a study; what differs within a set is what the set is about.
        $of = GolferSpec::ofStudy('made', $this->body % self::BODIES, new Plant($this->faults), $this->device);

        return new GolferSpec(
            $of->seed,
            $of->plant,
            $this->hand,
            $this->device,
            $of->heightMm,
            $of->massKg,
            ...self::CLUBS[$this->club()],
            pace: $this->isEasy ? new Pace(self::EASY_BACK_S, self::EASY_DOWN_S) : new Pace,
        );
    }

    /** @return key-of<self::CLUBS> */
    public function club(): string
    {
        return array_keys(self::CLUBS)[$this->body % count(self::CLUBS)];
    }

    /**
     * The swing as a bench would hold it: body points, the instrument's trace, stations, where the feet stand.
     *
     * @throws CoreException
     */
    public function evidence(): Evidence
    {
        $swing = Swing::simulated($this->spec(), self::POINTS_HZ);
        $trace = $swing->trace;
        if ($this->mishap !== null) {
            $im = $swing->stations->t(Station::Impact) ?? 0.0;
            $trace = Mishap::all()[$this->mishap]->doneTo($trace, $im - self::BEFORE_IMPACT_S);
        }

        return new Evidence($swing->stations, $trace, $swing->motion(), $swing->stance);
    }

    /** When something goes wrong with the instrument, s; null where nothing does, or nothing at one moment. */
    public function wrongAt(StationTimes $stations): ?float
    {
        $im = $stations->t(Station::Impact);

        return $this->mishap === null || $im === null ? null : $im - self::BEFORE_IMPACT_S;
    }

    /**
     * What two plates without any error and a camera that sees all tell of the golfer, whatever recorded it.
     *
     * @throws CoreException
     */
    public function truly(): SwingBasis
    {
        $swing = Swing::simulated($this->spec(), self::POINTS_HZ);
        [$trace, $motion] = $swing->truth(self::POINTS_HZ);
        $exact = new Evidence($swing->exactStations(), $trace, $motion, $swing->stance);

        return new SwingBasis(Meter::read($exact, false), Shown::fromEvidence($exact), $exact->stations, []);
    }

    /**
     * Which faults are there and which are not: of each, what was planted and what is truly measured must say the same.
     * What they do not settle is left out.
     *
     * @param  SwingBasis  $truly  as truly() has it
     * @return array<string, bool> by fault
     *
     * @throws CoreException
     */
    public function settles(SwingBasis $truly, Codebook $codebook): array
    {
        $out = [];
        foreach ($truly->faults($codebook) as $fault => $of) {
            $planted = isset($this->faults[$fault]);
            $verdict = $of->judgement->verdict;
            if ($verdict === ($planted ? Verdict::Supported : Verdict::Contradicted)) {
                $out[$fault] = $planted;
            }
        }

        return $out;
    }
}
