<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\Casts\Cell;
use App\Models\Consent;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\StationMark;
use App\Operations\ZipBounds;
use App\Shelf\Actions\StoreRecording;
use Carbon\CarbonImmutable;
use Core\CoreException;
use Core\Format\CsvTable;
use Core\Format\FormatException;
use Core\Format\RatingsCsv;
use Core\Format\RecordingBundle;
use Core\Motion\Station;
use Core\Sight\Scope;
use Core\Trace\Limits;
use Illuminate\Support\Facades\DB;
use ZipArchive;

/**
 * Takes in a library archive. Each recording is a transaction of its own and is known by its samples, so an import
 * that was killed goes on where it stopped when it is started again.
 */
final readonly class ImportLibrary
{
    private const LARGEST_ENTRY = 64 * 1024 * 1024;

    public function __construct(private StoreRecording $store, private TakeArchivedFilm $film)
    {
    }

    /**
     * @param  callable(int, int): void|null  $progress  done, of
     * @return array{stored: int, known: int, refused: list<string>}
     *
     * @throws ActionException|FormatException when the archive itself cannot be read
     */
    public function __invoke(string $path, ?callable $progress = null): array
    {
        $zip = new ZipArchive;
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY) !== true) {
            throw ActionException::because('refusals.operations.no-archive-library', [
                'path' => basename($path),
            ]);
        }
        try {
            ZipBounds::hold($zip);
            $golfers = $this->golfers($zip);
            $stations = [];
            foreach ($this->rows($zip, 'stations') as $row) {
                $stations[$row['recording']][] = $row;
            }
            $films = [];
            // Archives of before carried none.
            foreach ($zip->locateName('films.csv') === false ? [] : $this->rows($zip, 'films') as $row) {
                $films[$row['recording']][] = $row;
            }
            $rows = iterator_to_array($this->rows($zip, 'recordings'), false);
            $out = ['stored' => 0, 'known' => 0, 'refused' => []];
            $known = array_flip(array_map(Cell::text(...), Recording::query()->pluck('checksum')->all()));
            foreach ($rows as $n => $row) {
                if (isset($known[$row['checksum']])) {
                    $out['known']++;
                } else {
                    try {
                        $this->recording(
                            $zip,
                            $row,
                            $golfers,
                            $stations[$row['id']] ?? [],
                            $films[$row['id']] ?? [],
                        );
                        $out['stored']++;
                    } catch (ActionException|CoreException $e) {
                        if ($e->getCode() === ActionException::CONFLICT) {
                            $out['known']++;
                        } else {
                            $out['refused'][] = sprintf('%s: %s', $row['bundle'], Refusal::sentenceOf($e));
                        }
                    }
                }
                if ($progress !== null) {
                    $progress($n + 1, count($rows));
                }
            }

            return $out;
        } finally {
            $zip->close();
        }
    }

    /** @return array<string, Golfer> by pseudonym */
    private function golfers(ZipArchive $zip): array
    {
        return DB::transaction(function () use ($zip): array {
            $golfers = [];
            foreach ($this->rows($zip, 'golfers') as $row) {
                if (
                    ! in_array($row['handedness'], ['right', 'left'], true) ||
                    $row['pseudonym'] === '' ||
                    mb_strlen($row['pseudonym']) > 60
                ) {
                    throw ActionException::because('refusals.operations.golfers-csv-speaks-golfer', [
                        'pseudonym' => mb_substr($row['pseudonym'], 0, 40),
                        'handedness' => $row['handedness'],
                    ]);
                }
                $golfer = Golfer::query()->firstOrCreate(
                    ['pseudonym' => $row['pseudonym']],
                    [
                        'handedness' => $row['handedness'],
                        'limits' => $row['limits'] === '' ? null : $row['limits'],
                        'is_minor' => $row['is_minor'] === 'true',
                    ],
                );
                if ($golfer->handedness !== $row['handedness']) {
                    throw ActionException::because('refusals.operations.here-archive-two-people', [
                        'pseudonym' => $row['pseudonym'],
                        'handedness' => $golfer->handedness,
                        'handedness-too' => $row['handedness'],
                    ]);
                }
                $golfers[$row['pseudonym']] = $golfer;
            }
            foreach ($this->rows($zip, 'consents') as $row) {
                $golfer =
                    $golfers[$row['pseudonym']] ??
                    throw ActionException::because(
                        'refusals.operations.consents-csv-speaks-whom',
                        ['pseudonym' => $row['pseudonym']],
                    );
                $days = array_map(
                    static fn (string $d): ?CarbonImmutable => CarbonImmutable::hasFormat($d, 'Y-m-d')
                        ? CarbonImmutable::createFromFormat('Y-m-d', $d)
                        : null,
                    [$row['given_on'], $row['expires_on']],
                );
                if ($days[0] === null || $days[1] === null || $days[1] <= $days[0]) {
                    throw ActionException::because('refusals.operations.consents-csv-consent-whose', [
                        'pseudonym' => $row['pseudonym'],
                    ]);
                }
                // As it was called before there were several.
                $scope = $row['scope'] === 'training' ? Scope::StaffTraining : Scope::tryFrom($row['scope']);
                if ($scope === null) {
                    throw ActionException::because('refusals.operations.consents-csv-no-scope', [
                        'pseudonym' => $row['pseudonym'],
                        'scope' => FormatException::short($row['scope']),
                    ]);
                }
                Consent::query()->firstOrCreate(
                    [
                        'golfer_id' => $golfer->id,
                        'scope' => $scope,
                        'given_on' => $row['given_on'],
                        'expires_on' => $row['expires_on'],
                    ],
                    ['guardian' => $row['guardian'] === '' ? null : $row['guardian']],
                );
            }

            return array_map(static fn (Golfer $g): Golfer => $g->load('consents'), $golfers);
        });
    }

    /**
     * @param  array<string, string>  $row
     * @param  array<string, Golfer>  $golfers
     * @param  list<array<string, string>>  $stations
     * @param  list<array<string, string>>  $films
     */
    private function recording(ZipArchive $zip, array $row, array $golfers, array $stations, array $films): void
    {
        $golfer =
            $golfers[$row['pseudonym']] ??
            throw ActionException::because('refusals.operations.its-golfer-not-golfers', [
                'pseudonym' => $row['pseudonym'],
            ]);
        if (! $golfer->consentsTo(...Scope::cases())) {
            throw ActionException::because('refusals.operations.no-valid-consent', [
                'golfer' => $golfer->pseudonym,
            ]);
        }
        $in = RecordingBundle::read($this->entry($zip, $row['bundle']), basename($row['bundle']));
        $text = static fn (string $name): ?string => $row[$name] === '' ? null : mb_substr($row[$name], 0, 60);
        DB::transaction(function () use ($zip, $golfer, $in, $row, $text, $stations, $films): void {
            $recording = $this->store->__invoke(
                $golfer,
                [
                    ...Recording::factsRow($in->swing),
                    'club' => $text('club') ?? 'not stated',
                    'swing' => $text('swing') ?? 'full',
                    'shape' => $text('shape') ?? $in->swing->shape,
                    'device_name' => $text('device_name'),
                    'source' => 'archive',
                    'series' => $text('series') ?? $in->swing->series,
                    'is_cold' => $row['is_cold'] === 'true',
                    'points_offset_s' => self::number($row['film_offset_s'], 7200.0, 'film_offset_s'),
                    'points_drift_ppm' => self::number($row['film_drift_ppm'], 1e5, 'film_drift_ppm'),
                ],
                $in->trace,
                null,
                $in->views,
                false,
            );
            foreach ($films as $film) {
                ($this->film)($recording, $zip, $film);
            }
            foreach ($stations as $s) {
                if (Station::tryFrom($s['code']) !== null && is_numeric($s['t_s']) && is_numeric($s['uncertainty_s'])) {
                    // Who marked by hand is not known here: it counts as what came with the file.
                    StationMark::query()->updateOrCreate(
                        [
                            'recording_id' => $recording->id,
                            'code' => $s['code'],
                            'source' => in_array($s['source'], ['motion', 'trace'], true) ? $s['source'] : 'file',
                        ],
                        [
                            't_s' => self::number($s['t_s'], Limits::TIME_S, 't_s'),
                            'uncertainty_s' => self::number($s['uncertainty_s'], Limits::TIME_S, 'uncertainty_s'),
                        ],
                    );
                }
            }
        });
    }

    /** @return \Generator<int, array<string, string>> */
    private function rows(ZipArchive $zip, string $table): \Generator
    {
        $stream = $zip->getStream("$table.csv");
        if ($stream === false) {
            throw ActionException::because('refusals.operations.archive-no-csv-nothing', ['table' => $table]);
        }
        try {
            $csv = new CsvTable($stream, "$table.csv");
            $at = $csv->require(array_keys(ExportLibrary::TABLES[$table]));
            foreach ($csv->rows() as $cells) {
                yield array_map(static fn (int $i): string => $cells[$i], $at);
            }
        } finally {
            fclose($stream);
        }
    }

    /** @throws ActionException */
    public static function number(string $text, float $limit, string $name): float
    {
        $value = RatingsCsv::decimal($text);

        return $value !== null && abs($value) <= $limit
            ? $value
            : throw ActionException::because('refusals.operations.which-no-number-within', [
                'name' => $name,
                'text' => FormatException::short($text),
            ]);
    }

    private function entry(ZipArchive $zip, string $name): string
    {
        $stat = $zip->statName($name);
        if ($stat === false || $stat['size'] > self::LARGEST_ENTRY) {
            throw ActionException::because('refusals.operations.'.($stat === false ? 'not-archive' : 'larger-than-mb'));
        }

        return (string) $zip->getFromName($name);
    }
}
