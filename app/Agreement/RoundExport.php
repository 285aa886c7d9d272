<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Sitting;
use App\Works\Progress;
use Core\Agreement\Scale;
use Core\Format\AgreementCsv;
use Core\Format\CsvWriter;
use Core\Format\Json\KeyEntryJson;
use Core\Format\Json\LongJson;
use Core\Format\Json\StudyJson;
use Core\Remark\InWords;
use Core\Version;
use Illuminate\Support\Facades\Storage;
use ZipArchive;

/**
 * A published round as open files: ratings and key as agreement:compute reads them, every figure as one tidy table and
 * as JSON with what it was computed from, and the tables' schema. Raters go by number. Written row by row, so that a
 * round of a million calls wants no more memory than a small one.
 */
final readonly class RoundExport
{
    public const DISK = 'exports';

    private const NAMES = [
        'ratings.csv', 'key.csv', 'results.csv', 'sheets.csv', 'drills.csv', 'advice.csv', 'shown.csv',
        'arms.csv', 'times.csv', 'cues.csv', 'second.csv', 'results.json', 'key.json', 'datapackage.json',
    ];

    private const FIELDS = [
        'ratings' => [
            'case' => 'string',
            'item' => 'string',
            'rater' => 'string',
            'value' => 'string',
            'occasion' => 'integer',
            'confidence' => 'number',
            'cluster' => 'string',
        ],
        'key' => [
            'case' => 'string',
            'item' => 'string',
            'value' => 'string',
            'present' => 'integer',
            'absent' => 'integer',
            'cannot_tell' => 'integer',
            'cluster' => 'string',
        ],
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
            'clusters' => 'number',
            'new_raters_se' => 'number',
            'new_raters_low' => 'number',
            'new_raters_high' => 'number',
        ],
        ...AdviceTables::FIELDS,
        ...ShownTables::FIELDS,
        ...CueTables::FIELDS,
        ...SecondLooks::FIELDS,
    ];

    /** Entries of a key that are fetched at once. */
    private const AT_ONCE = 500;

    public function __construct(private Codebooks $codebooks, private InWords $words, private AdviceTables $advice,
        private ShownTables $shown)
    {
    }

    /** Where the files of these figures lie on the disk of exports; null until they are made. */
    public static function made(Sitting $round): ?string
    {
        return Storage::disk(self::DISK)->exists(self::path($round)) ? self::path($round) : null;
    }

    /** By the figures they hold: new ones want new files. */
    public static function path(Sitting $round): string
    {
        $kept = $round->result()->firstOrFail();
        $of = "$kept->id $kept->core_version $kept->inputs_checksum {$kept->updated_at->toIso8601String()}";

        return "rounds/$round->public_id-".substr(hash('sha256', $of), 0, 16).'.zip';
    }

    /**
     * @param  string  $folder  of this machine, empty
     * @return string the zip's path, in that folder
     *
     * @throws ActionException
     */
    public function write(Sitting $round, string $folder, Progress $progress): string
    {
        $kept = KeptFigures::ofRound($round);
        $inputs = RoundInputs::ofRound($round, $this->codebooks);
        [$key, $left] = RoundRatings::keyOf($inputs);
        self::pour("$folder/ratings.csv", $this->table('ratings', self::ratings($inputs, $progress)));
        self::pour("$folder/key.csv", $this->table('key', array_map(
            static fn (array $entry): array => [...$entry, $inputs->golfers[(int) substr($entry[0], 1)] ?? ''],
            $key,
        )));
        self::pour("$folder/results.csv", $this->table('results', $this->results($kept)));
        self::pour("$folder/sheets.csv", $this->table('sheets', AdviceTables::sheets($inputs)));
        self::pour("$folder/drills.csv", $this->table('drills', AdviceTables::drills($round)));
        self::pour("$folder/advice.csv", $this->table('advice', $this->advice->figures($kept)));
        self::pour("$folder/shown.csv", $this->table('shown', ShownTables::shown($inputs)));
        self::pour("$folder/arms.csv", $this->table('arms', $this->shown->arms($kept)));
        self::pour("$folder/times.csv", $this->table('times', $this->shown->times($kept)));
        self::pour("$folder/cues.csv", $this->table('cues', CueTables::cues(
            $round,
            $this->codebooks->document($round->codebook_version)->cues(),
        )));
        self::pour("$folder/second.csv", $this->table('second', SecondLooks::rows($round)));
        $progress->tell(0.7);
        $provenance = [
            ...$this->provenance($round, $kept),
            'input' => [
                'ratings_sha256' => self::hash("$folder/ratings.csv"),
                'key_sha256' => self::hash("$folder/key.csv"),
                'round_checksum' => $kept->result->inputs_checksum,
            ],
            'unscored_raters' => array_map(static fn (int $id): string => "u$id", $inputs->panel),
            'left_out_of_scoring' => $left,
        ];
        self::pour("$folder/results.json", LongJson::pieces($this->figures($kept, $provenance)));
        self::pour("$folder/key.json", LongJson::pieces([
            'version' => KeyEntryJson::VERSION,
            'key_version' => $round->keyVersion?->number,
            'lens' => $round->lens,
            'entries' => $this->entries($round),
        ]));
        self::pour("$folder/datapackage.json", LongJson::pieces(self::schema($folder)));
        $progress->tell(0.9);

        return self::zipped($folder);
    }

    /** @return \Generator<list<string|float|null>> */
    private static function ratings(RoundInputs $inputs, Progress $progress): \Generator
    {
        $all = max(1, count($inputs->readings));
        $done = 0;
        foreach (RoundRatings::sheets($inputs, $inputs->readings) as $sheet) {
            $progress->tell(0.5 * $done++ / $all);
            $golfer = $inputs->golfers[$inputs->cases[$sheet['reading']['case']]->case_id] ?? '';
            foreach ($sheet['calls'] as [$fault, $said, $sure]) {
                yield [$sheet['case'], $fault, $sheet['rater'], $said, $sheet['occasion'], $sure, $golfer];
            }
        }
    }

    /** @return \Generator<list<string|int|float|null>> */
    private function results(KeptFigures $kept): \Generator
    {
        foreach ($kept->items() as $fault) {
            $item = $kept->item($fault);
            if ($item !== null) {
                yield from AgreementCsv::rows($fault, $item, $this->words);
            }
        }
        $pooled = $kept->item();
        if ($pooled !== null) {
            $all = $pooled->against($kept->summary()->againstKey);
            yield from AgreementCsv::rows('(pooled)', $all, $this->words);
        }
    }

    /**
     * @param  array<string, mixed>  $provenance
     * @return \Generator<string, mixed>
     */
    private function figures(KeptFigures $kept, array $provenance): \Generator
    {
        $as = StudyJson::published($this->words);
        $options = RoundRatings::options();
        $summary = $kept->summary();
        $pooled = $kept->item();
        if ($pooled === null) {
            yield 'items' => [];
        } else {
            yield from $as->heading(Scale::Nominal, $options->confidence->level, $summary->bootstrap, $summary->seed);
            yield 'items' => self::items($kept, $as);
        }
        yield 'pooled' => $pooled === null ? null : $as->item($pooled);
        yield 'against_key' => $as->raters($summary->againstKey);
        yield 'provenance' => $provenance;
    }

    /** @return \Generator<array<string, mixed>> */
    private static function items(KeptFigures $kept, StudyJson $as): \Generator
    {
        foreach ($kept->items() as $fault) {
            $item = $kept->item($fault);
            if ($item !== null) {
                yield ['item' => $fault, ...$as->item($item)];
            }
        }
    }

    /** @return array<string, mixed> */
    private function provenance(Sitting $round, KeptFigures $kept): array
    {
        $options = RoundRatings::options();

        return [
            'version' => Version::AGREEMENT,
            'round' => $round->name,
            'published_at' => $round->published_at?->toIso8601String(),
            'key_version' => $round->keyVersion?->number,
            'options' => [
                'scale' => Scale::Nominal->value,
                'categories' => $options->categories,
                'cannot_tell' => $options->cannotTell,
                'positive' => $options->positive,
                'bootstrap' => $options->bootstrap,
                'seed' => $options->seed,
                'confidence' => $options->confidence->level,
            ],
        ];
    }

    /** @return \Generator<array<string, mixed>> each with what the verdict came from, in codes and in a sentence */
    private function entries(Sitting $round): \Generator
    {
        $faults = $this->codebooks->of($round)->faults;
        $entries = $round->keyVersion
            ?->entries()
            ->whereIn('case_id', $round->cases()->select('case_id'))
            ->orderBy('case_id')
            ->orderBy('id')
            ->lazy(self::AT_ONCE);
        foreach ($entries ?? [] as $e) {
            yield [
                'case' => "c$e->case_id",
                'entry' => KeyEntryJson::write($e->toCore()),
                'sentence' => $this->words->say($e->measured()->why, [
                    'fault' => $faults[$e->fault]->name ?? $e->fault,
                ]),
                'ruling' => $e->ruling,
                'ruling_reason' => $e->ruling_reason,
            ];
        }
    }

    /** @return array<string, mixed> */
    private static function schema(string $folder): array
    {
        return [
            'name' => 'verified-consensus-round',
            'profile' => 'tabular-data-package',
            'version' => Version::CURRENT,
            'resources' => array_map(
                static fn (string $name, array $fields): array => [
                    'name' => $name,
                    'path' => "$name.csv",
                    'profile' => 'tabular-data-resource',
                    'encoding' => 'utf-8',
                    'hash' => 'sha256:'.self::hash("$folder/$name.csv"),
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
        ];
    }

    /**
     * @param  iterable<list<string|int|float|null>>  $rows
     * @return \Generator<string>
     */
    private function table(string $name, iterable $rows): \Generator
    {
        yield CsvWriter::row(array_keys(self::FIELDS[$name]));
        foreach ($rows as $row) {
            yield CsvWriter::row($row);
        }
    }

    /**
     * @param  iterable<string>  $pieces
     *
     * @throws ActionException
     */
    private static function pour(string $path, iterable $pieces): void
    {
        $file = fopen($path, 'xb') ?: throw ActionException::because('refusals.agreement.export-could-not-written');
        try {
            foreach ($pieces as $piece) {
                if (fwrite($file, $piece) !== strlen($piece)) {
                    throw ActionException::because('refusals.agreement.export-could-not-finished');
                }
            }
        } finally {
            fclose($file);
        }
    }

    private static function hash(string $path): string
    {
        return (string) hash_file('sha256', $path);
    }

    /** @throws ActionException */
    private static function zipped(string $folder): string
    {
        $zip = new ZipArchive;
        if ($zip->open("$folder/round.zip", ZipArchive::CREATE | ZipArchive::EXCL) !== true) {
            throw ActionException::because('refusals.agreement.export-could-not-written');
        }
        foreach (self::NAMES as $name) {
            $zip->addFile("$folder/$name", $name);
        }

        return $zip->close()
            ? "$folder/round.zip"
            : throw ActionException::because('refusals.agreement.export-could-not-finished');
    }
}
