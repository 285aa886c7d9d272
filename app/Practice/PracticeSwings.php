<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Recording;
use App\Models\SittingArm;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Codebook\Shown;
use Core\Reading\CaseKind;
use Core\Sight\Sight;

/**
 * The swings a person may be asked about in practice: single ones that a published round asked about, and nothing that
 * waits anywhere to be read blind by this person, or is kept for a later round.
 */
final readonly class PracticeSwings
{
    /** So many of the newest swings are asked about, of so many that are looked at. */
    private const SWINGS = 60;

    private const LOOKED_AT = 150;

    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return array<int, SittingCase> by case, with the recording and its films */
    public function of(User $user): array
    {
        $places = SittingCase::query()
            ->whereHas('sitting', static fn ($q) => $q->where('state', 'published')->where('kind', 'round'))
            ->whereHas('rated', static fn ($q) => $q->where('kind', CaseKind::Single))
            ->where('occasion', 1)
            ->whereNull('withdrawn_at')
            ->with(['recording.films', 'swings.recording.films'])
            ->orderByDesc('id')
            ->limit(self::LOOKED_AT)
            ->get();
        $onlooker = $this->onlookers->of($user);
        $onlooker->know(
            array_values($places->map(static fn (SittingCase $c): int => $c->recording->id)->unique()->all()),
        );
        $out = [];
        foreach ($places as $place) {
            if (count($out) === self::SWINGS) {
                break;
            }
            if (! isset($out[$place->case_id]) && Sight::mayPractise($onlooker->standing($place->recording->id))) {
                $out[$place->case_id] = $place;
            }
        }

        return $out;
    }

    /** What is shown of a swing, whatever a round showed of it: film and trace, or one of them. */
    public static function shown(SittingCase $place, bool $film = true, bool $trace = true): Shown
    {
        return $place->shown((new SittingArm)->forceFill(['film' => $film, 'trace' => $trace]));
    }

    /** The same of a recording by itself. */
    public static function ofRecording(Recording $recording, bool $film, bool $trace): Shown
    {
        $place = SittingCase::query()
            ->whereHas('swings', static fn ($q) => $q->where('recording_id', $recording->id))
            ->whereHas('rated', static fn ($q) => $q->where('kind', CaseKind::Single))
            ->with(['recording.films', 'swings.recording.films'])
            ->orderByDesc('id')
            ->firstOrFail();

        return self::shown($place, $film, $trace);
    }
}
