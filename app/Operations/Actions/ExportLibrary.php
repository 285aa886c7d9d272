<?php

declare(strict_types=1);

namespace App\Operations\Actions;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Film\FilmFiles;
use App\Models\Casts\Cell;
use App\Models\Consent;
use App\Models\Film;
use App\Models\Golfer;
use App\Models\Motion;
use App\Models\Recording;
use Core\CoreException;
use Core\Film\Container;
use Core\Format\ImportedRecording;
use Core\Format\RecordingBundle;
use Core\Format\SideCar;
use Core\Motion\Handedness;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\Views;
use Core\Sight\Scope;
use Core\Version;
use ZipArchive;

/**
 * Writes the library – golfers, consents, recordings with everything recorded of them, facts, flights and films – as
 * one zip: a CSV a table with its schema in datapackage.json, one bundle a recording, the films as they came. It
 * leaves the academy: only golfers who agreed to that use are in it.
 */
final readonly class ExportLibrary
{
    public const TABLES = [
        'golfers' => ['pseudonym' => 'string', 'handedness' => 'string', 'limits' => 'string', 'is_minor' => 'boolean'],
        'consents' => [
            'pseudonym' => 'string',
            'scope' => 'string',
            'given_on' => 'date',
            'expires_on' => 'date',
            'guardian' => 'string',
        ],
        'recordings' => [
            'id' => 'string',
            'pseudonym' => 'string',
            'club' => 'string',
            'swing' => 'string',
            'shape' => 'string',
            'device_class' => 'string',
            'device_name' => 'string',
            'rate_hz' => 'number',
            'samples' => 'integer',
            'mass_kg' => 'number',
            'series' => 'string',
            'is_cold' => 'boolean',
            'film_offset_s' => 'number',
            'film_drift_ppm' => 'number',
            'checksum' => 'string',
            'bundle' => 'string',
        ],
        'stations' => [
            'recording' => 'string',
            'code' => 'string',
            't_s' => 'number',
            'uncertainty_s' => 'number',
            'source' => 'string',
        ],
        'films' => [
            'recording' => 'string',
            'view' => 'string',
            'name' => 'string',
            'bytes' => 'integer',
            'sha256' => 'string',
            'slowed' => 'integer',
            'offset_s' => 'number',
            'drift_ppm' => 'number',
            'clock_uncertainty_s' => 'number',
            'clock_by' => 'string',
            'camera_height_cm' => 'number',
            'camera_tilt_deg' => 'number',
            'file' => 'string',
        ],
    ];

    public function __construct(private FilmFiles $films)
    {
    }

    /**
     * @param  callable(int, int): void|null  $progress  done, of
     * @param  string|null  $only  public identifier of the one recording that is wanted
     * @return array{written: int, left_out: array<string, string>, not_agreed: int}  left_out: why, by recording;
     *     not_agreed: recordings whose golfers have not agreed that they leave the academy
     *
     * @throws ActionException
     */
    public function __invoke(string $path, ?callable $progress = null, ?string $only = null): array
    {
        return $this->films->apart(fn (string $folder): array => $this->write($path, $progress, $only, $folder));
    }

    /**
     * @param  callable(int, int): void|null  $progress
     * @param  string  $folder  for copies of what does not lie here
     * @return array{written: int, left_out: array<string, string>, not_agreed: int}
     *
     * @throws ActionException
     */
    private function write(string $path, ?callable $progress, ?string $only, string $folder): array
    {
        $zip = new ZipArchive;
        $new = $path.'.new';
        if (! is_writable(dirname($path)) || $zip->open($new, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw ActionException::because('refusals.operations.cannot-written', ['path' => $path]);
        }
        $golfers = Golfer::query()
            ->consenting(Scope::Research)
            ->when($only, static fn ($q, string $id) => $q->whereIn('id', Recording::query()
                ->where('public_id', $id)
                ->select('golfer_id')))
            ->with('consents')
            ->orderBy('id')
            ->get();
        $tables = array_fill_keys(array_keys(self::TABLES), []);
        $left = [];
        foreach ($golfers as $g) {
            $tables['golfers'][] = [$g->pseudonym, $g->handedness, $g->limits, $g->is_minor ? 'true' : 'false'];
            foreach ($g->consents->filter(static fn (Consent $c): bool => $c->isValid()) as $c) {
                $tables['consents'][] = [
                    $g->pseudonym,
                    $c->scope->value,
                    $c->given_on->toDateString(),
                    $c->expires_on->toDateString(),
                    $c->guardian,
                ];
            }
        }
        $ids = Recording::query()
            ->whereNull('erased_at')
            ->whereIn('golfer_id', $golfers->pluck('id'))
            ->when($only, static fn ($q, string $id) => $q->where('public_id', $id))
            ->orderBy('id')
            ->pluck('id');
        foreach ($ids as $n => $id) {
            $r = Recording::query()
                ->with(['golfer', 'channels', 'views', 'stations', 'films'])
                ->findOrFail(Cell::int($id));
            $name = "recordings/{$r->public_id}.json";
            try {
                $bundle = self::bundle($r);
            } catch (CoreException $e) {
                // One that is damaged is named and left out; the others go.
                $left[$r->public_id] = Refusal::sentenceOf($e);

                continue;
            }
            $zip->addFromString($name, $bundle);
            $tables['recordings'][] = [
                $r->public_id,
                $r->golfer->pseudonym,
                $r->club,
                $r->swing,
                $r->shape,
                $r->device_class,
                $r->device_name,
                $r->rate_hz,
                $r->samples,
                $r->mass_kg,
                $r->series,
                $r->is_cold ? 'true' : 'false',
                $r->points_offset_s,
                $r->points_drift_ppm,
                $r->checksum,
                $name,
            ];
            foreach ($r->stations as $s) {
                $tables['stations'][] = [$r->public_id, $s->code, $s->t_s, $s->uncertainty_s, $s->source->value];
            }
            foreach ($r->films->filter(static fn (Film $f): bool => $f->checksum !== null) as $film) {
                $row = $this->film($zip, $r, $film, $folder);
                if ($row === null) {
                    $left["$r->public_id, $film->view"] = (string) __('refusals.operations.film-gone');
                } else {
                    $tables['films'][] = $row;
                }
            }
            if ($progress !== null) {
                $progress($n + 1, $ids->count());
            }
            // The zip holds what was added in memory, even once closed, for as long as the object lives.
            if ($n % 25 === 24) {
                $zip->close();
                $zip = new ZipArchive;
                $zip->open($new);
            }
        }
        foreach ($tables as $table => $rows) {
            $zip->addFromString("$table.csv", self::csv(array_keys(self::TABLES[$table]), $rows));
        }
        $zip->addFromString('datapackage.json', self::package());
        if (! @$zip->close() || ! rename($new, $path)) {
            @unlink($new);
            throw ActionException::because('refusals.operations.could-not-finished-disk', ['path' => $path]);
        }

        return [
            'written' => count($tables['recordings']),
            'left_out' => $left,
            'not_agreed' => Recording::query()
                ->whereNull('erased_at')
                ->whereNotIn('golfer_id', $golfers->pluck('id'))
                ->when($only, static fn ($q, string $id) => $q->where('public_id', $id))
                ->count(),
        ];
    }

    /** @return list<mixed>|null a row of films.csv, whose original goes along; null where that is not there */
    private function film(ZipArchive $zip, Recording $r, Film $film, string $folder): ?array
    {
        $kind = Container::from((string) $film->container)->extension();
        $name = "films/$r->public_id/$film->view.$kind";
        if (! $this->films->has($film->path("original.$kind"))) {
            return null;
        }
        $zip->addFile($this->films->local($film->path("original.$kind"), $folder), $name);
        $zip->setCompressionName($name, ZipArchive::CM_STORE);
        // For who looks without a player; an import makes its own.
        foreach (array_keys($film->stills) as $code) {
            if ($this->films->has($film->path("$code.jpg"))) {
                $still = "films/$r->public_id/$film->view-$code.jpg";
                $zip->addFile($this->films->local($film->path("$code.jpg"), $folder), $still);
            }
        }

        return [
            $r->public_id,
            $film->view,
            $film->name,
            $film->bytes,
            $film->checksum,
            $film->slowed,
            $film->offset_s,
            $film->drift_ppm,
            $film->clock_uncertainty_s,
            $film->clock_by,
            $film->camera_height_cm,
            $film->camera_tilt_deg,
            $name,
        ];
    }

    public static function bundle(Recording $r): string
    {
        // The film keeps its own clock; the offset travels in the table.
        $views = new Views(...$r->views->map(static fn (Motion $m): CoreMotion => $m->toCore())->values()->all());

        return RecordingBundle::write(
            new ImportedRecording(
                $r->trace(),
                $views,
                $r->stationTimes(),
                new SideCar(
                    $r->mass_kg,
                    Handedness::from($r->golfer->handedness),
                    $r->club,
                    $r->swing,
                    $r->stance,
                    null,
                    $r->deviceClass(),
                    $r->device_name,
                ),
                [],
                $r->swingFacts(),
            ),
        );
    }

    /**
     * @param  list<string>  $header
     * @param  list<list<mixed>>  $rows
     */
    private static function csv(array $header, array $rows): string
    {
        $out = fopen('php://temp', 'r+b');
        if ($out === false) {
            throw ActionException::because('refusals.operations.there-no-room-write');
        }
        foreach ([$header, ...$rows] as $row) {
            fputcsv($out, array_map(Cell::text(...), $row), ',', '"', '');
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    private static function package(): string
    {
        $resources = [];
        foreach (self::TABLES as $table => $columns) {
            $resources[] = [
                'name' => $table,
                'path' => "$table.csv",
                'profile' => 'tabular-data-resource',
                'encoding' => 'utf-8',
                'schema' => [
                    'fields' => array_map(
                        static fn (string $name, string $type): array => ['name' => $name, 'type' => $type],
                        array_keys($columns),
                        $columns,
                    ),
                    'missingValues' => [''],
                ],
            ];
        }

        return json_encode(
            [
                'name' => 'verified-consensus-library',
                'profile' => 'tabular-data-package',
                'version' => Version::CURRENT,
                'resources' => $resources,
            ],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        );
    }
}
