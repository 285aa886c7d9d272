<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\Casts\Cell;
use App\Operations\Events\HousePacked;
use App\Operations\HouseFiles;
use App\Operations\HouseTable;
use Carbon\CarbonImmutable;
use Core\Version;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use ZipArchive;

/**
 * Writes the whole academy – people, golfers, films, readings, keys, figures, the record – into one zip, each entry
 * under a passphrase (AES-256 as any common unzipper reads it), for another machine to take in whole.
 */
final readonly class PackHouse
{
    public const FORMAT = 'verified-consensus/house';

    public const VERSION = 1;

    /** Letters a passphrase has at least. */
    public const PASSPHRASE = 12;

    public function __construct(private HouseFiles $files)
    {
    }

    /**
     * @param  callable(float): void|null  $progress  done, 0 to 1
     * @return array{rows: int, files: int, bytes: int}
     *
     * @throws ActionException where it cannot be written
     */
    public function __invoke(string $path, string $passphrase, ?callable $progress = null): array
    {
        self::check($passphrase);
        $folder = sys_get_temp_dir().'/vc-house-'.Str::uuid();
        File::makeDirectory($folder, 0700);
        $new = "$path.new";
        $zip = new ZipArchive;
        try {
            if (
                ! is_writable(dirname($path)) ||
                $zip->open($new, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true
            ) {
                throw ActionException::because('refusals.operations.cannot-written', ['path' => $path]);
            }
            $zip->setPassword($passphrase);
            $progress ??= static fn (float $part): null => null;
            $about = $this->write($zip, $folder);
            $progress(0.3);
            $about['academy'] = Academy::here()->name ?? '';
            file_put_contents(
                "$folder/house.json",
                json_encode($about, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
            );
            self::add($zip, "$folder/house.json", 'house.json');
            $zip->registerProgressCallback(0.02, static fn (float $part) => $progress(0.3 + 0.7 * $part));
            if (! @$zip->close()) {
                throw ActionException::because('refusals.operations.could-not-finished-disk', ['path' => $path]);
            }
            chmod($new, 0600);
            $out = [
                'rows' => array_sum(array_column($about['tables'], 'rows')),
                'files' => count($about['files']),
                'bytes' => (int) filesize($new),
            ];
            DB::transaction(static function () use ($about, $out, $new, $path): void {
                event(new HousePacked($about['id'], $out));
                if (! rename($new, $path)) {
                    throw ActionException::because('refusals.operations.could-not-finished-disk', ['path' => $path]);
                }
            });

            return $out;
        } finally {
            @unlink($new);
            File::deleteDirectory($folder);
        }
    }

    /** @throws ActionException where it is too short to keep anything */
    public static function check(string $passphrase): void
    {
        if (mb_strlen($passphrase) < self::PASSPHRASE) {
            throw ActionException::because('refusals.house.short', ['letters' => self::PASSPHRASE]);
        }
    }

    /**
     * @return array{format: string, version: int, id: string, made_at: string, program: string,
     *     migrations: list<string>, tables: list<array{name: string, rows: int, sha256: string}>,
     *     files: list<array{name: string, bytes: int, sha256: string}>, academy?: string}
     */
    private function write(ZipArchive $zip, string $folder): array
    {
        // Everything as it was at one moment, whatever is handed in meanwhile.
        DB::beginTransaction();
        try {
            if (DB::transactionLevel() === 1) {
                DB::statement('set transaction isolation level repeatable read, read only');
            }
            $about = [
                'format' => self::FORMAT,
                'version' => self::VERSION,
                'id' => (string) Str::uuid(),
                'made_at' => CarbonImmutable::now()->toIso8601String(),
                'program' => Version::CURRENT,
                'migrations' => self::migrations(),
                'tables' => [],
                'files' => [],
            ];
            foreach (HouseTable::carried() as $table) {
                $about['tables'][] = $this->table($zip, $table, $folder);
            }
            $names = iterator_to_array($this->files->named(), false);
        } finally {
            DB::rollBack();
        }
        foreach ($names as $name) {
            $from = $this->files->outgoing($name, $folder);
            $about['files'][] = [
                'name' => $name,
                'bytes' => (int) filesize($from),
                'sha256' => (string) hash_file('sha256', $from),
            ];
            self::add($zip, $from, "files/$name", ZipArchive::CM_STORE);
        }

        return $about;
    }

    /** @return array{name: string, rows: int, sha256: string} */
    private function table(ZipArchive $zip, HouseTable $table, string $folder): array
    {
        $path = "$folder/$table->name.ndjson";
        $to = fopen($path, 'xb');
        $sum = hash_init('sha256');
        $rows = 0;
        foreach ($table->lines() as $line) {
            if ($to === false || fwrite($to, $line) !== strlen($line)) {
                throw ActionException::because('refusals.operations.there-no-room-write');
            }
            hash_update($sum, $line);
            $rows++;
        }
        $to === false || fclose($to);
        self::add($zip, $path, "tables/$table->name.ndjson");

        return ['name' => $table->name, 'rows' => $rows, 'sha256' => hash_final($sum)];
    }

    private static function add(ZipArchive $zip, string $from, string $as, int $how = ZipArchive::CM_DEFLATE): void
    {
        if (
            ! $zip->addFile($from, $as) ||
            ! $zip->setCompressionName($as, $how) ||
            ! $zip->setEncryptionName($as, ZipArchive::EM_AES_256)
        ) {
            throw ActionException::because('refusals.operations.there-no-room-write');
        }
    }

    /** @return list<string> what this machine's tables look like */
    public static function migrations(): array
    {
        return array_values(DB::table('migrations')->orderBy('migration')->pluck('migration')
            ->map(Cell::text(...))->all());
    }
}
