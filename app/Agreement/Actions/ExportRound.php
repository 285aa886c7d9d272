<?php

declare(strict_types=1);

namespace App\Agreement\Actions;

use App\Agreement\RoundExport;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\Enums\WorkKind;
use App\Models\Sitting;
use App\Models\User;
use App\Models\Work;
use App\Works\Progress;
use App\Works\Works;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Http\File;
use Illuminate\Support\Facades\File as Folders;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** Has a published round written as open files, to be taken away for a day. */
final readonly class ExportRound
{
    public function __construct(private RoundExport $files, private Works $works)
    {
    }

    public function __invoke(Sitting $round, User $by): Work
    {
        return $this->works->ask(WorkKind::Export, $round, $by);
    }

    /** @throws ActionException */
    public function carryOut(Sitting $round, Progress $progress): void
    {
        $this->sweep();
        $folder = sys_get_temp_dir().'/vc-round-'.Str::uuid();
        Folders::makeDirectory($folder, 0700);
        try {
            $zip = $this->files->write($round, $folder, $progress);
            // Under its own name only once it is whole: a store sees to that, a folder does not.
            $disk = Storage::disk(RoundExport::DISK);
            $path = RoundExport::path($round);
            $kept = $disk instanceof LocalFilesystemAdapter ? 'rounds/'.Str::uuid().'.part' : $path;
            if (
                $disk->putFileAs(dirname($kept), new File($zip), basename($kept)) === false ||
                ($kept !== $path && (($disk->exists($path) && ! $disk->delete($path)) || ! $disk->move($kept, $path)))
            ) {
                throw ActionException::because('refusals.agreement.export-could-not-finished');
            }
        } finally {
            Folders::deleteDirectory($folder);
        }
    }

    /** Forgets what lay there for a day. */
    private function sweep(): void
    {
        $disk = Storage::disk(RoundExport::DISK);
        foreach (array_map(Cell::text(...), $disk->files('rounds')) as $left) {
            if ($disk->lastModified($left) < now()->subDay()->getTimestamp()) {
                $disk->delete($left);
            }
        }
    }
}
