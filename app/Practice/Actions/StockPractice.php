<?php

declare(strict_types=1);

namespace App\Practice\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\User;
use App\Practice\MadeSwings;
use App\Practice\PersonSkills;
use App\Practice\PracticePool;
use Core\Codebook\StandardLenses;
use Core\Motion\Handedness;
use Core\Simulation\ContrastKind;
use Core\Simulation\ContrastSet as Spec;
use Core\Simulation\Mishap;
use Core\Simulation\Plant;
use Core\Trace\DeviceClass;
use Core\Training\LookAlikes;
use Core\Training\Mode;
use Core\Training\Question;
use Core\Training\Skill;
use Illuminate\Support\Facades\DB;

/**
 * Sees to it that there are made swings to practise on: of what a person is weakest on first, and more of them the more
 * that person has answered.
 */
final readonly class StockPractice
{
    /** So many sets are asked for at a time. */
    private const AT_ONCE = 3;

    /** Another set of the same for so many answers, and no more of it than this. */
    private const ANSWERS = 12;

    private const MOST = 4;

    /** Recorded swings that are enough without made ones. */
    private const ENOUGH = 8;

    public function __construct(
        private AskContrast $ask,
        private Codebooks $codebooks,
        private PersonSkills $skills,
        private PracticePool $pool,
    ) {
    }

    /** @return int how many sets are being made for this person now */
    public function ask(User $user, Mode $mode, ?string $fault): int
    {
        $kind = match ($mode) {
            Mode::Fault => ContrastKind::Fault,
            Mode::Alike => ContrastKind::Alike,
            Mode::Artefact => ContrastKind::Artefact,
            Mode::Speed => ContrastKind::Speed,
            default => null,
        };
        $asked = 0;
        if ($kind !== null) {
            $have = $this->have($kind);
            foreach ($this->wanted($user, $kind, $fault) as $topic => [$of, $other, $mishap, $answers]) {
                $turn = $have[$topic] ?? 0;
                if ($turn >= min(self::MOST, 1 + intdiv($answers, self::ANSWERS)) || $asked === self::AT_ONCE) {
                    continue;
                }
                try {
                    ($this->ask)($this->spec($kind, $of, $other, $mishap, $turn), $user);
                    $asked++;
                } catch (ActionException) {
                    // Who asked for very many today practises on what there is.
                    break;
                }
            }
        }

        return $this->beingMade($user);
    }

    /** How many of the sets this person asked for are not made yet. */
    public function beingMade(User $user): int
    {
        return DB::table('works')
            ->where('kind', 'contrast')
            ->where('asked_by', $user->id)
            ->whereIn('state', ['waiting', 'running'])
            ->count();
    }

    /** A set on this topic that differs from those before it in body, hand and instrument. */
    private function spec(ContrastKind $kind, string $fault, ?string $other, ?string $mishap, int $turn): Spec
    {
        return new Spec(
            $kind,
            $fault,
            $other,
            $mishap,
            $mishap === null
                ? $this->device($other === null ? [$fault] : [$fault, $other], $turn)
                : self::deviceOf($mishap, $turn),
            $turn % 3 === 2 ? Handedness::Left : Handedness::Right,
            StandardLenses::DEFAULT,
            7 * $turn + crc32($fault.$other.$mishap) % 31,
        );
    }

    /** @param  array<string>  $faults  all of which can be seen with it */
    private function device(array $faults, int $turn): DeviceClass
    {
        $of = $this->codebooks->current()->faults;
        $able = array_values(array_filter(
            [DeviceClass::DualPlate, DeviceClass::Mat, DeviceClass::Plate],
            static fn (DeviceClass $device): bool => array_filter(
                $faults,
                static fn (string $key): bool => ! MadeSwings::canBeSeen($of[$key], $device),
            ) === [],
        ));

        return $able === [] ? DeviceClass::DualPlate : $able[$turn % count($able)];
    }

    private static function deviceOf(string $mishap, int $turn): DeviceClass
    {
        $able = Mishap::all()[$mishap]->devices;

        return in_array(DeviceClass::DualPlate, $able, true) && $turn % 2 === 0 ? DeviceClass::DualPlate : $able[0];
    }

    private static function topic(string $fault, string $other, string $mishap): string
    {
        return trim("$fault $other$mishap");
    }

    /** @return array<string, int> how many sets there are or will be, by topic */
    private function have(ContrastKind $kind): array
    {
        $out = [];
        foreach (DB::table('contrast_sets')
            ->where('kind', $kind->value)
            ->groupBy('fault', 'other', 'mishap')
            ->selectRaw('fault, other, mishap, count(*) as n')
            ->get() as $row) {
            $out[self::topic(
                Cell::text($row->fault),
                Cell::text($row->other ?? ''),
                Cell::text($row->mishap ?? ''),
            )] = Cell::int($row->n);
        }

        return $out;
    }

    /**
     * @return array<string, array{string, ?string, ?string, int}> by topic, the most wanted first: the fault, the
     *     other, what went wrong, and how much this person has answered of it
     */
    private function wanted(User $user, ContrastKind $kind, ?string $fault): array
    {
        $codebook = $this->codebooks->current();
        $able = array_values(array_intersect($codebook->keys(), Plant::FAULTS));
        $skills = $this->skills->of($user);
        uasort($skills, static fn (Skill $a, Skill $b): int => $a->low() <=> $b->low());
        $able = array_values(array_intersect(array_keys($skills), $able));
        if ($fault !== null) {
            $able = array_values(array_intersect($able, [$fault]));
        }
        $out = [];
        if ($kind === ContrastKind::Artefact) {
            foreach (Spec::MISTAKEN as $mishap => $of) {
                if (isset($codebook->faults[$of])) {
                    $out[self::topic($of, '', $mishap)] = [$of, null, $mishap, 0];
                }
            }
        } elseif ($kind === ContrastKind::Alike) {
            foreach (LookAlikes::among(array_values(array_intersect($codebook->keys(), Plant::FAULTS))) as [$one, $other]) {
                if ($fault === null || in_array($fault, [$one, $other], true)) {
                    $out[self::topic($one, $other, '')] = [$one, $other, null, $skills[$one]->answers];
                }
            }
        } else {
            $held = $kind === ContrastKind::Fault ? array_count_values(array_map(
                static fn (Question $q): string => $q->fault,
                $this->pool->of($user, $fault),
            )) : [];
            foreach ($able as $of) {
                if (($held[$of] ?? 0) < self::ENOUGH) {
                    $out[$of] = [$of, null, null, $skills[$of]->answers];
                }
            }
        }

        return $out;
    }
}
