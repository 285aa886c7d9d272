<?php

declare(strict_types=1);

namespace App\Agreement\Actions;

use App\Agreement\RoundRatings;
use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\Sitting;
use Core\Format\AgreementCsv;
use Core\Format\CsvWriter;
use Core\Format\Json\KeyEntryJson;
use Core\Format\Json\StudyJson;
use Core\Remark\InWords;
use Core\Version;
use Illuminate\Http\File;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use ZipArchive;

/**
 * A published round as open files: ratings and key as agreement:compute reads them, every figure as one tidy table and
 * as
 * JSON with what it was computed from, and the tables' schema. Raters go by number.
 */
final readonly class ExportRound
{
    public const DISK = 'exports';

    private const FIELDS = [
        'ratings' => [
            'case' => 'string',
            'item' => 'string',
            'rater' => 'string',
            'value' => 'string',
            'occasion' => 'integer',
            'confidence' => 'number',
        ],
        'key' => ['case' => 'string', 'item' => 'string', 'value' => 'string'],
        'results' => [
            'item' => 'string',
            'kind' => 'string',
            'figure' => 'string',
            'a' => 'string',
            'b' => 'string',
            'n' => 'integer',
            'estimate' => 'number',
            'se' => 'number',
            'low' => 'number',
            'high' => 'number',
            'method' => 'string',
            'reason' => 'string',
        ],
    ];

    public function __construct(private Codebooks $codebooks, private InWords $words)
    {
    }

    /**
     * @return string where the zip lies on the disk of exports; whoever takes it away deletes it
     *
     * @throws ActionException
     */
    public function __invoke(Sitting $round): string
    {
        $here = tempnam(sys_get_temp_dir(), 'vc-round');
        if ($here === false) {
            throw ActionException::because('refusals.agreement.export-could-not-written');
        }
        try {
            $this->write($round, $here);
            $path = Storage::disk(self::DISK)->putFileAs('rounds', new File($here), Str::uuid().'.zip');
        } finally {
            @unlink($here);
        }

        return $path === false
            ? throw ActionException::because('refusals.agreement.export-could-not-finished')
            : $path;
    }

    /** Forgets what nobody took away. */
    public function sweep(): void
    {
        $disk = Storage::disk(self::DISK);
        foreach (array_map(Cell::text(...), $disk->files('rounds')) as $left) {
            if ($disk->lastModified($left) < now()->subDay()->getTimestamp()) {
                $disk->delete($left);
            }
        }
    }

    /**
     * @param  string  $path  of the zip, a file of this machine
     *
     * @throws ActionException
     */
    private function write(Sitting $round, string $path): void
    {
        $ratings = RoundRatings::ofRound($round, $this->codebooks);
        $result = $round->result()->firstOrFail();
        $figures = $result->figures();
        $study = $figures->study;
        $tables = [
            'ratings' => $this->csv('ratings', $ratings->rows),
            'key' => $this->csv('key', $ratings->key),
            'results' => CsvWriter::row(AgreementCsv::HEADER),
        ];
        foreach (
            $study === null ? [] : [...$study->items, '(pooled)' => $study->pooled->against($figures->againstKey)] as $name => $item
        ) {
            foreach (AgreementCsv::rows((string) $name, $item, $this->words) as $row) {
                $tables['results'] .= CsvWriter::row($row);
            }
        }
        $options = RoundRatings::options();
        $provenance = [
            'version' => Version::CURRENT,
            'round' => $round->name,
            'published_at' => $round->published_at?->toIso8601String(),
            'key_version' => $round->keyVersion?->number,
            'options' => [
                'scale' => 'nominal',
                'categories' => $options->categories,
                'cannot_tell' => $options->cannotTell,
                'positive' => $options->positive,
                'bootstrap' => $options->bootstrap,
                'seed' => $options->seed,
                'confidence' => $options->confidence->level,
            ],
            'input' => [
                'ratings_sha256' => hash('sha256', $tables['ratings']),
                'key_sha256' => hash('sha256', $tables['key']),
                'round_checksum' => $result->inputs_checksum,
            ],
            'unscored_raters' => $ratings->unscored,
            'left_out_of_scoring' => $ratings->left,
        ];
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw ActionException::because('refusals.agreement.export-could-not-written');
        }
        foreach ($tables as $name => $text) {
            $zip->addFromString("$name.csv", $text);
        }
        $as = StudyJson::published($this->words);
        $zip->addFromString(
            'results.json',
            self::json([
                ...$study === null ? ['items' => [], 'pooled' => null] : $as->study($study),
                'against_key' => $as->raters($figures->againstKey),
                'provenance' => $provenance,
            ]),
        );
        $zip->addFromString(
            'key.json',
            self::json([
                'version' => KeyEntryJson::VERSION,
                'key_version' => $round->keyVersion?->number,
                'lens' => $round->lens,
                'entries' => $this->key($round),
            ]),
        );
        $zip->addFromString(
            'datapackage.json',
            self::json([
                'name' => 'verified-consensus-round',
                'profile' => 'tabular-data-package',
                'version' => Version::CURRENT,
                'resources' => array_map(
                    static fn (string $name, array $fields): array => [
                        'name' => $name,
                        'path' => "$name.csv",
                        'profile' => 'tabular-data-resource',
                        'encoding' => 'utf-8',
                        'hash' => 'sha256:'.hash('sha256', $tables[$name]),
                        'schema' => [
                            'fields' => array_map(
                                static fn (string $field, string $type): array => ['name' => $field, 'type' => $type],
                                array_keys($fields),
                                $fields,
                            ),
                            'missingValues' => [''],
                        ],
                    ],
                    array_keys(self::FIELDS),
                    self::FIELDS,
                ),
            ]),
        );
        if (! $zip->close()) {
            throw ActionException::because('refusals.agreement.export-could-not-finished');
        }
    }

    /** @return list<array<string, mixed>> every entry with what the verdict came from, in codes and in a sentence */
    private function key(Sitting $round): array
    {
        $faults = $this->codebooks->of($round)->faults;
        $out = [];
        foreach (
            $round->keyVersion
                ?->entries()
                ->whereIn('case_id', $round->cases()->select('case_id'))
                ->orderBy('case_id')
                ->orderBy('id')
                ->get() ?? [] as $e
        ) {
            $out[] = [
                'case' => "c$e->case_id",
                'entry' => KeyEntryJson::write($e->toCore()),
                'sentence' => $this->words->say($e->measured()->why, [
                    'fault' => $faults[$e->fault]->name ?? $e->fault,
                ]),
                'ruling' => $e->ruling,
                'ruling_reason' => $e->ruling_reason,
            ];
        }

        return $out;
    }

    /** @param  list<list<string|float|null>>  $rows */
    private function csv(string $table, array $rows): string
    {
        return CsvWriter::row(array_keys(self::FIELDS[$table])).implode('', array_map(CsvWriter::row(...), $rows));
    }

    /** @param  array<string, mixed>  $of */
    private static function json(array $of): string
    {
        return json_encode(
            $of,
            JSON_PRETTY_PRINT |
                JSON_UNESCAPED_SLASHES |
                JSON_UNESCAPED_UNICODE |
                JSON_PRESERVE_ZERO_FRACTION |
                JSON_THROW_ON_ERROR,
        );
    }
}
