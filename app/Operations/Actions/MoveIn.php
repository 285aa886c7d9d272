<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Audit\RecordChain;
use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Operations\Events\MovedIn;
use App\Operations\HouseFiles;
use App\Operations\HouseTable;
use App\Operations\Tables;
use App\Operations\ZipBounds;
use App\Shelf\Events\FilmArrived;
use Core\CoreException;
use Core\Format\Json\JsonObject;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use ZipArchive;

/**
 * Takes a whole academy in where nobody lives yet. Its files are laid down first, each once, so that what was killed
 * goes on where it stopped; then its tables come all at once, or not at all, and are read back and compared. The same
 * archive again changes nothing.
 */
final readonly class MoveIn
{
    private const LARGEST_LIST = 64 * 1024 * 1024;

    public function __construct(private HouseFiles $files, private RecordChain $record)
    {
    }

    /** Whether a zip is of this kind, which its names tell without the passphrase. */
    public static function isHouse(string $path): bool
    {
        $zip = new ZipArchive;
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY) !== true) {
            return false;
        }
        try {
            return $zip->locateName('house.json') !== false;
        } finally {
            $zip->close();
        }
    }

    /**
     * @param  callable(int, int): void|null  $progress  files laid down, of
     * @return array{came: bool, rows: int, files: int}  came: false where it was here already
     *
     * @throws ActionException|CoreException where it is spoilt, or somebody lives here; nothing was changed but files
     *     laid down that nothing speaks of
     */
    public function __invoke(string $path, string $passphrase, ?callable $progress = null): array
    {
        $zip = new ZipArchive;
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY) !== true) {
            throw ActionException::because('refusals.operations.no-archive-library', ['path' => basename($path)]);
        }
        try {
            ZipBounds::hold($zip);
            $zip->setPassword($passphrase);
            $about = self::about($zip);
            $id = $about->text('id', 36);
            if (Academy::query()->where('moved_in', $id)->exists()) {
                return ['came' => false, 'rows' => 0, 'files' => 0];
            }
            self::mayCome($about);
            $files = $about->objects('files');
            foreach ($files as $n => $file) {
                $this->file($zip, $file);
                if ($progress !== null) {
                    $progress($n + 1, count($files));
                }
            }
            $rows = DB::transaction(fn (): int => $this->tables($zip, $about, $id));
            Cache::flush();
            app()->forgetScopedInstances();

            return ['came' => true, 'rows' => $rows, 'files' => count($files)];
        } finally {
            $zip->close();
        }
    }

    /** @throws ActionException|CoreException */
    private static function about(ZipArchive $zip): JsonObject
    {
        $stat = $zip->statName('house.json');
        if ($stat === false || $stat['size'] > self::LARGEST_LIST) {
            throw ActionException::because('refusals.house.no-house');
        }
        $text = @$zip->getFromName('house.json');
        if ($text === false) {
            throw ActionException::because('refusals.house.passphrase');
        }
        $about = JsonObject::parse($text, 'house.json', 8);
        if (
            ($about->plain()['format'] ?? null) !== PackHouse::FORMAT ||
            ($about->plain()['version'] ?? null) !== PackHouse::VERSION
        ) {
            throw ActionException::because('refusals.house.no-house');
        }

        return $about;
    }

    /** @throws ActionException|CoreException */
    private static function mayCome(JsonObject $about): void
    {
        if ($about->texts('migrations') !== PackHouse::migrations()) {
            throw ActionException::because('refusals.house.other-program', ['program' => $about->text('program')]);
        }
        foreach (['users', 'golfers', 'recordings', 'sittings'] as $table) {
            if (DB::table($table)->exists()) {
                throw ActionException::because('refusals.house.lived-in', [], ActionException::CONFLICT);
            }
        }
        $names = array_map(static fn (JsonObject $t): string => $t->text('name'), $about->objects('tables'));
        $carried = array_column(HouseTable::carried(), 'name');
        if ($names !== $carried) {
            throw ActionException::because('refusals.house.tables');
        }
    }

    /** @throws ActionException|CoreException */
    private function file(ZipArchive $zip, JsonObject $file): void
    {
        [$name, $hash] = [$file->text('name', 400), $file->text('sha256', 64)];
        if ($this->files->has($name, $hash)) {
            return;
        }
        $new = tempnam(sys_get_temp_dir(), 'vc-house-');
        $to = $new === false ? false : fopen($new, 'wb');
        $from = @$zip->getStream("files/$name");
        try {
            if ($to === false || $from === false) {
                throw ActionException::because('refusals.house.spoilt', ['name' => "files/$name"]);
            }
            $got = @stream_copy_to_stream($from, $to);
            fclose($to);
            if ($got !== $file->whole('bytes') || hash_file('sha256', (string) $new) !== $hash) {
                throw ActionException::because('refusals.house.spoilt', ['name' => "files/$name"]);
            }
            $this->files->take($name, (string) $new);
        } finally {
            $from === false || fclose($from);
            $new === false || @unlink($new);
        }
    }

    /** @throws ActionException|CoreException */
    private function tables(ZipArchive $zip, JsonObject $about, string $id): int
    {
        DB::statement('lock table users in access exclusive mode');
        self::mayCome($about);
        $tables = HouseTable::carried();
        $all = implode(', ', array_map(
            static fn (string $t): string => "\"$t\"",
            array_diff(array_keys(Tables::PLACES), ['migrations', 'cache', 'cache_locks']),
        ));
        DB::statement("truncate $all restart identity cascade");
        $loose = DB::table('pg_constraint')
            ->selectRaw('conrelid::regclass::text as "table", conname')
            ->where('contype', 'f')
            ->get();
        // Rows point at one another in rings: whether they fit is asked at the end.
        $bind = static function (string $how) use ($loose): void {
            foreach ($loose as $c) {
                DB::statement(sprintf(
                    'alter table %s alter constraint "%s" %s',
                    Cell::text($c->table),
                    Cell::text($c->conname),
                    $how,
                ));
            }
        };
        $bind('deferrable initially deferred');
        $rows = 0;
        foreach ($tables as $n => $table) {
            // What refuses changes of frozen rows would refuse them as they come.
            DB::statement("alter table \"$table->name\" disable trigger user");
            $rows += $table->put($this->lines($zip, $table->name));
            $table->countOn();
            $told = $about->objects('tables')[$n];
            $sum = hash_init('sha256');
            foreach ($table->lines() as $line) {
                hash_update($sum, $line);
            }
            if (hash_final($sum) !== $told->text('sha256', 64)) {
                throw ActionException::because('refusals.house.spoilt', ['name' => "tables/$table->name.ndjson"]);
            }
        }
        DB::statement('set constraints all immediate');
        foreach ($tables as $table) {
            DB::statement("alter table \"$table->name\" enable trigger user");
        }
        $bind('not deferrable');
        // Its codes were made with another machine's key; the archive's sums have vouched for it.
        $this->record->remake();
        foreach (DB::table('films')->where('state', 'waiting')->orderBy('id')->pluck('id') as $film) {
            DB::afterCommit(static fn () => event(new FilmArrived(Cell::int($film))));
        }
        Academy::query()->whereKey(Academy::ID)->update(['moved_in' => $id]);
        event(new MovedIn($id, $about->text('made_at')));

        return $rows;
    }

    /** @return \Generator<string> */
    private function lines(ZipArchive $zip, string $table): \Generator
    {
        $from = @$zip->getStream("tables/$table.ndjson")
            ?: throw ActionException::because('refusals.house.spoilt', ['name' => "tables/$table.ndjson"]);
        try {
            while (($line = fgets($from)) !== false) {
                yield $line;
            }
        } finally {
            fclose($from);
        }
    }
}
