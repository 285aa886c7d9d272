<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Golfer;
use App\Models\User;
use App\Shelf\FileNames;
use Core\Sight\Scope;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;

/** Lays several files aside at once: whose they are is read off their names, side-cars go with the traces they name. */
final readonly class BeginImports
{
    public function __construct(private BeginImport $begin)
    {
    }

    /**
     * @param  non-empty-list<UploadedFile>  $files  traces, and side-cars beside them
     * @param  Golfer  $else  whose those are whose names say nothing
     * @return string the batch
     *
     * @throws ActionException
     */
    public function __invoke(array $files, Golfer $else, User $by): string
    {
        $golfers = Golfer::query()
            ->consenting(Scope::Lessons, Scope::StaffTraining)
            ->with('consents')
            ->get()
            ->keyBy('id');
        $pseudonyms = [];
        foreach ($golfers as $golfer) {
            $pseudonyms[$golfer->id] = $golfer->pseudonym;
        }
        $names = new FileNames($pseudonyms);
        [$traces, $cars] = self::sorted($files);
        if ($traces === []) {
            throw ActionException::because('import.choose-file');
        }
        $batch = Str::lower((string) Str::ulid());
        $series = self::series($traces, $names);
        foreach ($traces as $file) {
            $name = $file->getClientOriginalName();
            $says = $names->of($name);
            $import = ($this->begin)(
                $golfers->get($says['golfer'] ?? 0) ?? $else,
                $file,
                $cars[FileNames::stem($name)] ?? null,
                $by,
            );
            $import->update(['batch' => $batch, 'settings' => array_filter([
                'series' => $series[$name] ?? null,
                'place' => isset($series[$name]) ? $says['place'] : null,
            ], static fn (string|int|null $v): bool => $v !== null)]);
        }

        return $batch;
    }

    /**
     * @param  non-empty-list<UploadedFile>  $files
     * @return array{list<UploadedFile>, array<string, UploadedFile>} traces, and side-cars by the name of their trace
     */
    private static function sorted(array $files): array
    {
        $stems = [];
        foreach ($files as $file) {
            if (! str_ends_with(mb_strtolower($file->getClientOriginalName()), '.json')) {
                $stems[FileNames::stem($file->getClientOriginalName())] = true;
            }
        }
        $traces = $cars = [];
        foreach ($files as $file) {
            $name = mb_strtolower($file->getClientOriginalName());
            // A bundle is a JSON file too, but has no trace of its name beside it.
            if (str_ends_with($name, '.json') && isset($stems[FileNames::stem($name)])) {
                $cars[FileNames::stem($name)] = $file;
            } else {
                $traces[] = $file;
            }
        }

        return [$traces, $cars];
    }

    /**
     * Several of one golfer on one day are a series.
     *
     * @param  list<UploadedFile>  $traces
     * @return array<string, string> by the file's name
     */
    private static function series(array $traces, FileNames $names): array
    {
        $days = [];
        foreach ($traces as $file) {
            $says = $names->of($file->getClientOriginalName());
            if ($says['golfer'] !== null && $says['day'] !== null) {
                $days[$says['golfer']][$says['day']][] = $file->getClientOriginalName();
            }
        }
        $out = [];
        foreach ($days as $of) {
            foreach ($of as $day => $files) {
                $out += count($files) > 1 ? array_fill_keys($files, $day) : [];
            }
        }

        return $out;
    }
}
