<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\MadeSwing;
use App\Models\User;
use Core\Codebook\Fault;
use Core\Codebook\Shown;
use Core\Codebook\StandardLenses;
use Core\Format\Json\ShownJson;
use Core\Motion\View;
use Core\Simulation\ContrastKind;
use Core\Simulation\MadeSwing as Spec;
use Core\Trace\DeviceClass;
use Illuminate\Support\Facades\DB;

/**
 * The swings of contrast sets that are made, as practice may ask about them: what each settles and what can be seen in
 * it.
 *
 * @phpstan-type Made array{id: int, set: int, place: int, spec: Spec, settled: array<string, bool>, shown: Shown,
 *     found: bool}
 */
final class MadeSwings
{
    /** So many of the newest sets of a kind are asked about. */
    private const SETS = 60;

    /** Harder than usual where a fault is slight, easier where it is dominant, logits. */
    private const SLIGHT = 0.9;

    private const DOMINANT = -0.6;

    public function __construct(private readonly Codebooks $codebooks)
    {
    }

    /**
     * @return list<Made> in the order of their sets; found: whether the quality of the trace is doubted
     */
    public function of(ContrastKind ...$kinds): array
    {
        $sets = DB::table('contrast_sets')
            ->whereIn('kind', array_map(static fn (ContrastKind $k): string => $k->value, $kinds))
            ->whereNotNull('made_at')
            ->orderByDesc('id')
            ->limit(self::SETS)
            ->select('id');
        $rows = MadeSwing::query()
            ->join('contrast_swings', 'contrast_swings.made_swing_id', '=', 'made_swings.id')
            ->whereIn('contrast_set_id', $sets)
            ->orderBy('contrast_set_id')
            ->orderBy('place')
            ->selectRaw("made_swings.id, contrast_set_id, place, spec, settled, measured->'held' as held,
                jsonb_array_length(measured->'quality') > 0 as found")
            ->get();
        $version = $this->codebooks->document()->version();
        $out = [];
        foreach ($rows as $made) {
            $settled = $made->settled;
            $out[] = [
                'id' => $made->id,
                'set' => Cell::int($made->getAttribute('contrast_set_id')),
                'place' => Cell::int($made->getAttribute('place')),
                'spec' => $made->spec(),
                'settled' => $settled['version'] === $version
                    ? $settled['lenses'][StandardLenses::DEFAULT] ?? []
                    : $this->anew($made->id),
                'shown' => ShownJson::read(
                    json_decode(Cell::text($made->getAttribute('held')), true, 16, JSON_THROW_ON_ERROR),
                ),
                'found' => (bool) $made->getAttribute('found'),
            ];
        }

        return $out;
    }

    /** @return array<string, int> how often this person was asked of each made swing, by swing and skill */
    public function asked(User $user): array
    {
        $out = [];
        foreach (DB::table('practice_answers')
            ->join('practice_sittings', 'practice_sittings.id', '=', 'practice_answers.practice_sitting_id')
            ->where('user_id', $user->id)
            ->whereNotNull('made_swing_id')
            ->groupBy('made_swing_id', 'skill')
            ->selectRaw('made_swing_id, skill, count(*) as n')
            ->get() as $row) {
            $out[Cell::int($row->made_swing_id).'|'.Cell::text($row->skill)] = Cell::int($row->n);
        }

        return $out;
    }

    /** Logits above a usual question, by how much of a fault there is. */
    public static function difficulty(Spec $spec, string $fault): float
    {
        $severity = $spec->faults[$fault] ?? null;

        return match (true) {
            $severity === null => 0.0,
            $severity < 1.5 => self::SLIGHT,
            $severity >= 2.7 => self::DOMINANT,
            default => 0.0,
        };
    }

    /** Whether a fault can be seen in a made swing that this instrument recorded: its body points are held. */
    public static function canBeSeen(Fault $fault, DeviceClass $device): bool
    {
        return $fault->observability(new Shown($device, true, true, View::cases(), flare: true))->supports();
    }

    /** @return array<string, bool> by the codebook of now */
    private function anew(int $id): array
    {
        $made = MadeSwing::query()->findOrFail($id);

        return $made->spec()->settles(
            $made->truly(),
            $this->codebooks->current(StandardLenses::DEFAULT, $made->spec()->club()),
        );
    }
}
