<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Links;
use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Models\Enums\LinkPurpose;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Clears the invented academy away, with its files, so that a real one can begin. */
final readonly class ClearSample
{
    public function __construct(private Links $links)
    {
    }

    /**
     * @return string the link by which the real academy begins
     *
     * @throws ActionException
     */
    public function __invoke(string $typed): string
    {
        $token = DB::transaction(function () use ($typed): string {
            $academy = Academy::query()->lockForUpdate()->find(Academy::ID);
            if ($academy === null || ! $academy->is_sample) {
                throw ActionException::because('refusals.academy.no-sample');
            }
            if (trim($typed) !== $academy->name) {
                throw ActionException::because('refusals.academy.other-name', ['name' => $academy->name]);
            }
            DB::statement('select clear_sample()');

            return $this->links->make(LinkPurpose::Begin);
        });
        app()->forgetScopedInstances();
        foreach (Storage::disk('films')->directories() as $directory) {
            Storage::disk('films')->deleteDirectory(Cell::text($directory));
        }
        // These share a place with other things: only what is theirs goes.
        foreach (['imports' => 'imports', 'exports' => 'rounds', 'papers' => 'papers'] as $disk => $theirs) {
            Storage::disk($disk)->deleteDirectory($theirs);
        }

        return route('begin', $token);
    }
}
