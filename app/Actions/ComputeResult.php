<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Round;
use App\Models\RoundResult;
use App\Queries\Codebooks;
use Core\Agreement\RatingSet;
use Core\Agreement\Study;
use Core\Agreement\StudyOptions;
use Core\Reading\Presence;
use Core\Version;

/**
 * Measures a staff round: agreement among its members and with the frozen key. Kept with the core's version
 * and a checksum of what went in, and made anew only when either changes.
 *
 * Left out and counted: contested entries, conflicts not ruled on, faults that nobody could observe from
 * what the case showed, and whoever sat on the panel that made the key.
 */
final readonly class ComputeResult
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    public function __invoke(Round $round): RoundResult
    {
        $cases = $round->cases()->with('recording')->get()->keyBy('id');
        $readings = $round->readings()->whereNotNull('handed_in_at')->with('calls')->orderBy('readings.id')->get();
        $entries = $round->keyVersion?->entries()->whereIn('recording_id', $cases->pluck('recording_id'))->orderBy('id')->get() ?? collect();
        $panel = $round->keyVersion?->round->members()->orderBy('users.id')->pluck('users.id')->all() ?? [];
        $inputs = hash('sha256', (string) json_encode([
            $round->key_version_id, $panel,
            $readings->map(static fn (Reading $r): array => [$r->id, $r->version, $r->user_id])->all(),
            $entries->mapWithKeys(static fn (KeyEntry $e): array => [$e->id => $e->scoredLabel()])->all(),
        ]));
        $kept = $round->result()->first();
        if ($kept !== null && $kept->core_version === Version::CURRENT && $kept->inputs_checksum === $inputs) {
            return $kept;
        }

        $codebook = $this->codebooks->of($round);
        $set = new RatingSet;
        $scored = new RatingSet;
        $unsupported = $cannotTell = [];
        $left = ['contested' => 0, 'conflict' => 0, 'not observable' => 0];
        $key = $entries->keyBy(static fn (KeyEntry $e): string => $e->recording_id.'|'.$e->fault);
        foreach ($cases as $case) {
            foreach ($codebook->faults as $fault => $definition) {
                $entry = $key->get($case->recording_id.'|'.$fault);
                if ($entry === null || $case->occasion !== 1) {
                    continue;
                }
                $label = $entry->scoredLabel();
                if ($label === null) {
                    $left[$entry->grade === 'conflict' ? 'conflict' : 'contested']++;
                } elseif (! $definition->sight($case->shown())->supports()) {
                    $left['not observable']++;
                } else {
                    $scored->addKey('r'.$case->recording_id, $fault, $label);
                }
            }
        }
        foreach ($readings as $reading) {
            $case = $cases[$reading->round_case_id];
            $rater = 'u'.$reading->user_id;
            $core = $reading->toCore();
            $unsupported[$rater] = ($unsupported[$rater] ?? 0) + count($core->unsupported($codebook, $case->shown()));
            foreach ($core->calls as $fault => $call) {
                $cannotTell[$rater] = ($cannotTell[$rater] ?? 0) + ($call->presence === Presence::CannotTell ? 1 : 0);
                $confidence = $call->confidence === null ? null : $call->confidence / 100;
                $set->add('r'.$case->recording_id, $fault, $rater, $call->presence->value, (string) $case->occasion, $confidence);
                if (! in_array($reading->user_id, $panel, true)) {
                    $scored->add('r'.$case->recording_id, $fault, $rater, $call->presence->value, (string) $case->occasion, $confidence);
                }
            }
        }
        $options = new StudyOptions(
            categories: [Presence::Absent->value, Presence::Present->value],
            cannotTell: Presence::CannotTell->value,
            bootstrap: (int) config('academy.bootstrap'),
        );
        $result = $set->isEmpty() ? ['items' => [], 'pooled' => null] : (new Study($set, $options))->result();
        $against = $scored->isEmpty() ? [] : $this->againstKey($scored, $options);

        return RoundResult::query()->updateOrCreate(['round_id' => $round->id], [
            'core_version' => Version::CURRENT,
            'inputs_checksum' => $inputs,
            'results' => [
                'study' => $result,
                'against_key' => $against,
                'map' => $this->map($scored, $options),
                'left_out' => $left,
                'cases' => $cases->count(),
                'unsupported' => $unsupported,
                'cannot_tell' => $cannotTell,
                'key_version' => $round->keyVersion?->number,
                'bootstrap' => $options->bootstrap,
                'seed' => $options->seed,
            ],
        ]);
    }

    /** @return list<mixed> */
    private function againstKey(RatingSet $scored, StudyOptions $options): array
    {
        $pooled = (new Study($scored, $options))->block($scored->items());

        return array_values((array) $pooled['against_key']);
    }

    /** @return array<string, array<string, array{int, int, int, int}>> tp, fn, fp, tn by rater and fault */
    private function map(RatingSet $scored, StudyOptions $options): array
    {
        $out = [];
        if (! $scored->isEmpty()) {
            $study = new Study($scored, $options);
            foreach ($scored->items() as $fault) {
                foreach ($study->keyTables([$fault]) as $rater => $table) {
                    $out[$rater][$fault] = $table->cells();
                }
            }
        }

        return $out;
    }
}
