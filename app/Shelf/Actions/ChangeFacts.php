<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Enums\WorkKind;
use App\Models\Recording;
use App\Models\User;
use App\Shelf\Events\FactsChanged;
use App\Works\Works;
use Core\CoreException;
use Core\Reading\BallFlight;
use Illuminate\Support\Facades\DB;

/**
 * Sets right what is known of swings. What is measured follows where it depends on it; a key that was frozen keeps what
 * it used.
 *
 * @phpstan-type Facts array{club?: string, swing?: string, size?: ?string, loft_deg?: ?float, shape?: ?string,
 *     effort_pct?: ?int, has_ball?: ?bool, is_cold?: bool, series?: ?string, place?: ?int,
 *     outcome?: ?array<string, mixed>}
 */
final readonly class ChangeFacts
{
    /** What the rules read: a change of these is measured anew. */
    private const MEASURED_BY = ['club', 'swing', 'size'];

    public const FIELDS = [
        'club', 'swing', 'size', 'loft_deg', 'shape', 'effort_pct', 'has_ball', 'is_cold', 'series', 'place', 'outcome',
    ];

    public function __construct(private Works $works)
    {
    }

    /**
     * @param  non-empty-list<int>  $ids
     * @param  Facts  $facts  those that change; the others stay
     * @param  int|null  $version  of the facts as the person saw them, where it is one swing
     * @return array<int, Facts> what stood there before, by swing that was changed
     *
     * @throws ActionException
     */
    public function __invoke(array $ids, array $facts, User $by, ?int $version = null): array
    {
        $this->flight($facts);

        return DB::transaction(function () use ($ids, $facts, $by, $version): array {
            $before = [];
            $recordings = Recording::query()->whereKey($ids)->whereNull('erased_at')->orderBy('id')->lockForUpdate();
            foreach ($recordings->get() as $recording) {
                if ($version !== null && $recording->facts_version !== $version) {
                    throw ActionException::because('refusals.shelf.facts-changed-meanwhile', [],
                        ActionException::CONFLICT);
                }
                $was = $this->change($recording, $facts, $by);
                if ($was !== []) {
                    $before[$recording->id] = $was;
                }
            }

            return $before;
        });
    }

    /**
     * Where a film's camera stood: only what somebody measured; it is never guessed.
     *
     * @param  array<string, array{camera_height_cm: ?float, camera_tilt_deg: ?float}>  $cameras  by view
     */
    public function cameras(Recording $recording, array $cameras, User $by): void
    {
        DB::transaction(static function () use ($recording, $cameras, $by): void {
            foreach ($recording->films()->whereIn('view', array_keys($cameras))->lockForUpdate()->get() as $film) {
                $was = $film->only(['camera_height_cm', 'camera_tilt_deg']);
                $film->fill($cameras[$film->view]);
                if ($film->isDirty()) {
                    $film->save();
                    event(new FactsChanged(
                        $recording,
                        ['view' => $film->view, ...$was],
                        ['view' => $film->view, ...$cameras[$film->view]],
                        $by,
                    ));
                }
            }
        });
    }

    /**
     * Puts back what stood there, unless somebody has changed it since.
     *
     * @param  array<array-key, mixed>  $before  version and facts by swing, as they were offered
     *
     * @throws ActionException
     */
    public function back(array $before, User $by): void
    {
        foreach ($before as $id => $of) {
            /** @var array{version: int, facts: Facts} $of */
            ($this)([(int) $id], $of['facts'], $by, $of['version']);
        }
    }

    /**
     * @param  Facts  $facts
     * @return Facts
     */
    private function change(Recording $recording, array $facts, User $by): array
    {
        $recording->fill($facts);
        $changed = array_keys($recording->getDirty());
        if ($changed === []) {
            return [];
        }
        $was = array_intersect_key($recording->getOriginal(), array_flip($changed));
        $is = $recording->only($changed);
        $recording->forceFill(['facts_version' => $recording->facts_version + 1, 'facts_changed_at' => now()])->save();
        if (array_intersect($changed, self::MEASURED_BY) !== []) {
            $this->works->ask(WorkKind::Measure, $recording, $by);
        }
        event(new FactsChanged($recording, $was, $is, $by));

        /** @var Facts $was */
        return $was;
    }

    /**
     * @param  Facts  $facts
     *
     * @throws ActionException
     */
    private function flight(array $facts): void
    {
        if (isset($facts['outcome'])) {
            try {
                BallFlight::fromArray($facts['outcome']);
            } catch (CoreException $e) {
                throw ActionException::of($e);
            }
        }
    }
}
