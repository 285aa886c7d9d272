<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Audit\SubjectKeys;
use App\Exceptions\ActionException;
use App\Models\AuditEntry;
use App\Models\ConsentPaper;
use App\Models\Erasure;
use App\Models\Film;
use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\PendingImport;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Operations\Events\GolferErased;
use App\Shelf\Actions\EraseRecording;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Erases a golfer on request: films, traces, pictures, papers, consents, limits, the pseudonym, and the key under which
 * the record holds what was personal. Swings that were read leave a place behind, of nobody: calls, a key's labels and
 * published figures stand, marked. What went is told in a receipt that names nobody.
 */
final readonly class EraseGolfer
{
    public function __construct(private EraseRecording $erase, private SubjectKeys $keys)
    {
    }

    /** @throws ActionException where the name typed is another */
    public function __invoke(Golfer $golfer, string $typed, User $by): Erasure
    {
        if (trim($typed) !== $golfer->pseudonym) {
            throw ActionException::because('refusals.operations.other-golfer', ['golfer' => $golfer->pseudonym]);
        }

        return DB::transaction(function () use ($golfer, $by): Erasure {
            $golfer = Golfer::query()->lockForUpdate()->findOrFail($golfer->id);
            $recordings = Recording::query()->where('golfer_id', $golfer->id)->orderBy('id')->get();
            $this->dropExports($recordings->modelKeys());
            $counts = ['swings' => $recordings->whereNull('erased_at')->count(), 'films' => Film::query()
                ->whereIn('recording_id', $recordings->modelKeys())->count()];
            $this->forgetNames($recordings->pluck('public_id')->all());
            foreach ($recordings->whereNull('erased_at') as $recording) {
                ($this->erase)($recording, $by);
            }
            $counts['papers'] = $this->dropPapers($golfer);
            $counts['imports'] = $this->dropImports($golfer);
            $counts['left'] = Recording::query()->where('golfer_id', $golfer->id)->count();
            User::query()->where('golfer_id', $golfer->id)->update(['golfer_id' => null]);
            $golfer->consents()->delete();
            Lesson::query()->where('golfer_id', $golfer->id)->delete();
            $golfer->limitsNoted()->delete();
            $this->keys->forget("golfer $golfer->id");
            if ($counts['left'] === 0) {
                $golfer->delete();
            } else {
                $golfer->forceFill([
                    'pseudonym' => "erased-$golfer->id", 'limits' => null, 'height_cm' => null, 'mass_kg' => null,
                    'born_year' => null, 'notes' => null, 'is_minor' => false, 'erased_at' => now(),
                ])->save();
            }
            $receipt = Erasure::query()->create([
                'subject' => "golfer $golfer->id",
                'why' => 'request',
                'user_id' => $by->id,
                'counts' => $counts,
            ]);
            event(new GolferErased($golfer->id, $receipt, $by));

            return $receipt;
        });
    }

    /**
     * Names of files stood in the record, and may hold a person's.
     *
     * @param  array<mixed>  $recordings
     */
    private function forgetNames(array $recordings): void
    {
        foreach ($recordings as $id) {
            if (is_string($id)) {
                AuditEntry::query()
                    ->where('subject', "recording $id")
                    ->update(['details' => DB::raw("details - 'file' - 'name'")]);
            }
        }
    }

    private function dropPapers(Golfer $golfer): int
    {
        $papers = ConsentPaper::query()->where('golfer_id', $golfer->id)->get();
        $paths = $papers->map(static fn (ConsentPaper $p): string => $p->path())->all();
        DB::afterCommit(static fn () => Storage::disk(ConsentPaper::DISK)->delete($paths));
        ConsentPaper::query()->where('golfer_id', $golfer->id)->delete();

        return $papers->count();
    }

    private function dropImports(Golfer $golfer): int
    {
        $imports = PendingImport::query()->where('golfer_id', $golfer->id)->get();
        foreach ($imports as $import) {
            $files = array_filter([$import->path, $import->meta_path], is_string(...));
            DB::afterCommit(static fn () => Storage::disk('imports')->delete($files));
            $import->delete();
        }

        return $imports->count();
    }

    /**
     * Files that were made of rounds with these swings in them go; they are made anew of what is left.
     *
     * @param  array<mixed>  $recordings
     */
    private function dropExports(array $recordings): void
    {
        $rounds = Sitting::query()
            ->whereHas('cases.swings', static fn ($q) => $q->whereIn('recording_id', $recordings))
            ->pluck('public_id');
        DB::afterCommit(static function () use ($rounds): void {
            $disk = Storage::disk('exports');
            foreach ($disk->files('rounds') as $file) {
                foreach ($rounds as $round) {
                    if (is_string($file) && is_string($round) && str_starts_with(basename($file), $round)) {
                        $disk->delete($file);
                    }
                }
            }
        });
    }
}
