<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Models\CaseSwing;
use App\Models\Film;
use App\Models\Motion;
use App\Models\Recording;
use App\Models\Rendition;
use App\Models\TraceChannel;
use App\Models\User;
use App\Shelf\Events\RecordingErased;
use App\Sight\Onlookers;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Takes a recording away. One that no case is made of goes whole. Of one that was asked about, film, trace, body points
 * and what was measured go; what people said of it, the key's labels and the figures made from them stay, as counts of
 * nobody in particular, marked and never worked out again.
 */
final readonly class EraseRecording
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** @return bool whether something of it is left */
    public function __invoke(Recording $recording, User $by): bool
    {
        $left = DB::transaction(function () use ($recording, $by): bool {
            $recording = Recording::query()->lockForUpdate()->with('films')->findOrFail($recording->id);
            $used = CaseSwing::query()->where('recording_id', $recording->id)->exists();
            $recording->films->each(static fn (Film $f) => $f->delete());
            foreach (Rendition::query()->where('recording_id', $recording->id)->get() as $rendition) {
                $folder = "renditions/{$rendition->public_id}";
                DB::afterCommit(static fn () => Storage::disk('films')->deleteDirectory($folder));
                $rendition->update(['films' => []]);
            }
            if ($used) {
                TraceChannel::query()->where('recording_id', $recording->id)->delete();
                Motion::query()->where('recording_id', $recording->id)->delete();
                $recording->measured()->delete();
                DB::table('caught_swings')
                    ->where('recording_id', $recording->id)
                    ->update(['bundle' => '']);
                $recording->update([
                    'erased_at' => now(),
                    'stance' => null,
                    'mass_kg' => null,
                    'outcome' => null,
                    'device_name' => null,
                    'constant_errors' => null,
                    'checksum' => hash('sha256', "erased|{$recording->public_id}"),
                ]);
            } else {
                DB::table('caught_swings')->where('recording_id', $recording->id)->delete();
                $recording->delete();
            }
            // What could be taken back for a minute holds facts of swings.
            DB::table('undos')->where('kind', 'facts')->delete();
            event(new RecordingErased($recording, $used, $by));

            return $used;
        });
        $this->onlookers->forget();

        return $left;
    }
}
