<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Audit\RecordCheck;
use App\Models\Casts\Cell;
use App\Operations\BackupDatabase;
use App\Operations\BackupManifest;
use App\Operations\BackupStore;
use App\Operations\Events\BackupMade;
use App\Operations\HouseFiles;
use Core\Version;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/**
 * A backup of one moment: the database as its own tool writes it, the files that its rows name, the keys under which
 * some of it lies; everything closed, and counted so that a restored one can be held against it.
 */
final readonly class MakeBackup
{
    public function __construct(private BackupStore $store, private BackupDatabase $database, private HouseFiles $files)
    {
    }

    /** @return BackupManifest of what was made */
    public function __invoke(): BackupManifest
    {
        $made = $this->store->alone(fn (): BackupManifest => $this->make());
        if (! $made instanceof BackupManifest) {
            throw new RuntimeException('no backup was made');
        }
        event(new BackupMade($made->name, count($made->files)));

        return $made;
    }

    private function make(): BackupManifest
    {
        $name = now()->utc()->format('Ymd\THis\Z').'-'.random_int(100, 999);
        $folder = "{$this->store->root}/$name";
        mkdir($folder, 0700) || throw new RuntimeException("$folder could not be made");
        $owner = DB::connection('owner');
        try {
            $owner->beginTransaction();
            $owner->statement('set transaction isolation level repeatable read, read only');
            $snapshot = Cell::text($owner->scalar('select pg_export_snapshot()'));
            $tables = BackupDatabase::counted($owner);
            $files = $this->named();
            $this->database->dump($snapshot, "$folder/dump");
            $owner->rollBack();
            $database = $this->store->keep('database', "$folder/dump");
            unlink("$folder/dump");
            file_put_contents("$folder/secrets", json_encode([
                'APP_KEY' => config('app.key'),
                'APP_PREVIOUS_KEYS' => implode(',', array_filter((array) config('app.previous_keys'), is_string(...))),
            ], JSON_THROW_ON_ERROR));
            $secrets = $this->store->keep('secrets', "$folder/secrets");
            unlink("$folder/secrets");
            [$kept, $gone] = $this->keptFiles($files, $folder);
            $manifest = new BackupManifest(
                $name,
                now()->utc()->format('Y-m-d\TH:i:s\Z'),
                Version::CURRENT,
                (new RecordCheck)()['end'],
                $tables,
                $database,
                $secrets,
                $kept,
                $gone,
            );
            $manifest->write("$folder/manifest.json", $this->store->vault());

            return $manifest;
        } catch (\Throwable $e) {
            while ($owner->transactionLevel() > 0) {
                $owner->rollBack();
            }
            array_map(unlink(...), glob("$folder/*") ?: []);
            rmdir($folder);

            throw $e;
        }
    }

    /** @return list<string> the files that rows of the same moment name */
    private function named(): array
    {
        $default = DB::getDefaultConnection();
        DB::setDefaultConnection('owner');
        try {
            return iterator_to_array($this->files->named(), false);
        } finally {
            DB::setDefaultConnection($default);
        }
    }

    /**
     * @param  list<string>  $names
     * @return array{list<array{name: string, part: string, bytes: int, sha256: string}>, list<string>}
     */
    private function keptFiles(array $names, string $folder): array
    {
        $kept = [];
        $gone = [];
        foreach ($names as $name) {
            $copy = $this->files->raw($name, $folder);
            if ($copy === null) {
                $gone[] = $name;

                continue;
            }
            $kept[] = $this->store->keep($name, $copy);
            str_starts_with($copy, "$folder/") && unlink($copy);
        }

        return [$kept, $gone];
    }
}
