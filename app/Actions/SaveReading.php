<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Call;
use App\Models\Reading;
use App\Queries\Codebooks;
use Core\CoreException;
use Core\Motion\Station;
use Core\Reading\Call as CoreCall;
use Core\Reading\Decision;
use Core\Reading\Pin;
use Core\Reading\Presence;
use Core\Reading\Reading as CoreReading;
use Illuminate\Support\Facades\DB;

/**
 * Takes the whole sheet of a reading as the rater sees it. Each save has an id of the client's making and
 * names the saves sent before it whose answer never came back: one that had arrived after all is known by
 * its id, so a save sent twice counts once. A sheet made from any other older version is refused, so that two
 * windows cannot overwrite each other unseen.
 */
final readonly class SaveReading
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /**
     * @param  array{version: int, id?: ?string, after?: list<string>, calls: array<string, array<string, mixed>>, first_causes: list<string>, cue: string}  $sheet
     * @return int the new version
     *
     * @throws ActionException|StaleSheet
     */
    public function __invoke(Reading $reading, array $sheet): int
    {
        try {
            $core = $this->toCore($reading, $sheet);
        } catch (CoreException $e) {
            throw new ActionException($e->getMessage().' This change was not saved; everything before it is kept.');
        }

        return DB::transaction(function () use ($reading, $sheet, $core): int {
            $reading = Reading::query()->lockForUpdate()->with('case.round')->findOrFail($reading->id);
            if ($reading->isLocked()) {
                throw new ActionException($reading->handed_in_at !== null
                    ? 'This reading has been handed in and is locked; nothing was changed.'
                    : 'The round is closed; nothing was changed. What was saved before is kept.');
            }
            $id = $sheet['id'] ?? null;
            if ($id !== null && $id === $reading->last_save) {
                return $reading->version;
            }
            if ($sheet['version'] !== $reading->version && ! in_array($reading->last_save, $sheet['after'] ?? [], true)) {
                throw new StaleSheet($reading);
            }
            $kept = $reading->calls()->get()->keyBy('fault');
            foreach ($core->calls as $fault => $call) {
                $row = $kept->get($fault) ?? new Call(['reading_id' => $reading->id]);
                $row->fill(Call::row($call))->save();
            }
            Call::query()->where('reading_id', $reading->id)->whereNotIn('fault', array_keys($core->calls))->delete();
            $reading->update(['first_causes' => $core->firstCauses, 'cue' => $core->cue, 'version' => $reading->version + 1, 'last_save' => $id]);

            return $reading->version;
        });
    }

    /** @param  array{version: int, id?: ?string, after?: list<string>, calls: array<string, array<string, mixed>>, first_causes: list<string>, cue: string}  $sheet */
    private function toCore(Reading $reading, array $sheet): CoreReading
    {
        $codebook = $this->codebooks->of($reading->loadMissing('case.round')->case->round);
        $calls = [];
        foreach ($sheet['calls'] as $key => $c) {
            $codebook->fault($key);
            $calls[$key] = new CoreCall(
                $key,
                Presence::from((string) $c['presence']),
                isset($c['severity']) ? (int) $c['severity'] : null,
                isset($c['onset']) ? Station::from((string) $c['onset']) : null,
                isset($c['decision']) ? Decision::from((string) $c['decision']) : null,
                isset($c['confidence']) ? (int) $c['confidence'] : null,
                array_map(static fn (array $p): Pin => new Pin($p['on'] === 'trace' ? 'trace' : 'film', (float) $p['t']), array_values($c['pins'] ?? [])),
            );
        }
        $reading = new CoreReading($calls, array_values(array_unique($sheet['first_causes'])), trim($sheet['cue']));
        if (count($reading->firstCauses) > 2) {
            throw new CoreException('At most two first causes are allowed.');
        }
        foreach ($reading->firstCauses as $cause) {
            $cause === CoreReading::NOT_IN_THE_FEET || $codebook->fault($cause);
        }

        return $reading;
    }
}
