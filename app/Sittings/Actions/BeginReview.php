<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Codebook\Codebooks;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use Core\Codebook\StandardLenses;
use Core\Motion\View;
use Core\Reading\CaseKind;
use Core\Reading\Stage;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/**
 * Puts a person's own swing before that person alone: read blind, then with the ball and the numbers. It enters no
 * record, no list and no figure.
 */
final readonly class BeginReview
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /** The one that is under way, where there is one. */
    public function __invoke(Recording $recording, User $person): Reading
    {
        return DB::transaction(function () use ($recording, $person): Reading {
            // Two presses are one review.
            User::query()->whereKey($person->id)->lockForUpdate()->firstOrFail();
            $begun = self::under($person)
                ->whereHas('case.swings', static fn ($q) => $q->where('recording_id', $recording->id))
                ->orderByDesc('stage')
                ->orderByDesc('id')
                ->first();

            return $begun ?? $this->begin($recording, $person);
        });
    }

    /** @return \Illuminate\Database\Eloquent\Builder<Reading> a person's own readings in private reviews */
    public static function under(User $person): \Illuminate\Database\Eloquent\Builder
    {
        return Reading::query()
            ->where('user_id', $person->id)
            ->whereHas('case.sitting', static fn ($q) => $q->where('kind', SittingKind::Review));
    }

    private function begin(Recording $recording, User $person): Reading
    {
        $sitting = Sitting::query()->create([
            'reveals' => true,
            'name' => 'Review',
            'kind' => SittingKind::Review,
            'state' => SittingState::Open,
            'lens' => StandardLenses::DEFAULT,
            'codebook_version' => $this->codebooks->document()->version(),
            'seed' => bin2hex(random_bytes(16)),
            'created_by' => $person->id,
            'opened_at' => now(),
        ]);
        $sitting->addCase(CaseKind::Single, [$recording->id], true, true);
        $sitting->members()->attach($person->id);
        $case = SittingCase::query()->where('sitting_id', $sitting->id)->firstOrFail();
        $case->update(['film_views' => array_map(static fn (View $v): string => $v->value, $case->filmedViews())]);

        return Reading::query()->create([
            'sitting_case_id' => $case->id,
            'user_id' => $person->id,
            'arm_id' => $case->arm_id,
            'stage' => Stage::Blind,
            'position' => 1,
        ])->refresh();
    }
}
