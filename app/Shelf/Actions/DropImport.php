<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Models\PendingImport;
use App\Shelf\OpenedImport;
use Illuminate\Support\Facades\Storage;

/** Forgets a file that was laid aside. */
final readonly class DropImport
{
    public function __invoke(PendingImport $import): void
    {
        Storage::disk(OpenedImport::disk())->delete(array_filter([$import->path, $import->meta_path], is_string(...)));
        $import->delete();
    }
}
