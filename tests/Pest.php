<?php

use App\Exceptions\Refusal;
use App\Words\Wording;
use Core\Agreement\Figure;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\ItemResult;
use Core\Agreement\Study\StudyResult;
use Core\Codebook\Codebook;
use Core\CoreException;
use Core\Format\Json\FigureJson;
use Core\Format\Json\StudyJson;
use Core\Measurement\Evidence;
use Core\Measurement\Meter;
use Core\Motion\Motion;
use Core\Motion\StationSource;
use Core\Motion\StationTimes;
use Core\Reading\Call;
use Core\Reading\Presence;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;
use Core\Trace\Trace;
use Illuminate\Container\Container;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Translation\FileLoader;
use Illuminate\Translation\Translator;
use Pest\Expectation;
use Tests\TestCase;

// Processes side by side have a database and a place for films each; what they start inherits both.
$lane = getenv('TEST_TOKEN');
if ($lane !== false && $lane !== '') {
    // The lane's database is the process's own: none is to be made beside it.
    $_SERVER['LARAVEL_PARALLEL_TESTING_WITHOUT_DATABASES'] = 1;
    foreach (
        ['DB_DATABASE' => "verified_consensus_test_$lane", 'FILMS_ROOT' => "storage/framework/films-$lane"] as $name => $is
    ) {
        putenv("$name=$is");
        $_ENV[$name] = $_SERVER[$name] = $is;
    }
}

pest()->extend(TestCase::class)->in('Feature');

/** How many of a kind to try: a few where somebody waits, as many as the claim wants in `bin/test studies`. */
function many(int $quick, int $thorough): int
{
    return getenv('VC_STUDIES') === '1' ? $thorough : $quick;
}

require_once __DIR__.'/Feature/helpers.php';

/** A call of every fault, absent but for those given. */
function allAbsent(array $change = []): array
{
    $calls = [];
    foreach (Codebook::standard()->keys() as $key) {
        $calls[$key] = new Call($key, Presence::Absent, confidence: 80);
    }

    return [...$calls, ...$change];
}

/** @return array<string, mixed> a study's result as it is published */
function published(StudyResult|ItemResult $result): array
{
    $as = StudyJson::published(inWords());

    if ($result instanceof ItemResult) {
        return $as->item($result);
    }
    $items = [];
    foreach ($result->items as $name => $item) {
        $items[] = ['item' => (string) $name, ...$as->item($item)];
    }

    return [
        ...$as->heading($result->scale, $result->confidence, $result->bootstrap, $result->seed),
        'items' => $items,
        'pooled' => $as->item($result->pooled),
    ];
}

/** @return array<string, mixed> */
function publishedFigure(Figure $figure): array
{
    return FigureJson::publish($figure, inWords());
}

/** A remark as a part of a sentence, in the words of lang/en. */
function worded(?Remark $remark): ?string
{
    return $remark === null ? null : inWords()->phrase($remark);
}

/**
 * @param  list<Remark>  $remarks
 * @return list<string> their sentences in the words of lang/en
 */
function sentences(array $remarks): array
{
    return array_map(static fn (Remark $r): string => inWords()->say($r), $remarks);
}

/** What is refused, in the words of lang/en. */
function refused(callable $do): ?string
{
    if (! Container::getInstance()->bound('translator')) {
        Container::getInstance()->instance('translator', lines());
    }
    try {
        $do();
    } catch (CoreException $e) {
        return Refusal::sentenceOf($e);
    }

    return null;
}

expect()->extend('toRefuse', function (string $words): Expectation {
    expect(refused($this->value))->not->toBeNull('nothing was refused')->toContain($words);

    return $this;
});

function lines(): Translator
{
    return new Translator(new FileLoader(new Filesystem, dirname(__DIR__).'/lang'), 'en');
}

function inWords(): Wording
{
    static $words = null;

    return $words ??= new Wording(lines());
}

/** Station times used by the closed-form signals: top at 1.5 s, impact at 1.75 s. */
function stations(array $change = [], float $uncertainty = 0.0): StationTimes
{
    $times = array_filter(
        [
            ...[
                'AD' => 0.6,
                'TB' => 0.95,
                'LB' => 1.15,
                'TP' => 1.5,
                'LD' => 1.64,
                'SD' => 1.7,
                'IM' => 1.75,
                'ST' => 1.82,
                'FI' => 2.4,
            ],
            ...$change,
        ],
        static fn (?float $t): bool => $t !== null,
    );

    return StationTimes::fromSeconds($times, $uncertainty, StationSource::File);
}

/** A dual-plate trace of an 80 kg golfer whose lead share and total force (%BW) follow closed-form functions. */
function dualTrace(callable $share, ?callable $total = null, float $rate = 1000.0, float $duration = 3.0): Trace
{
    $weight = 80.0 * 9.80665;
    $channels = array_fill_keys(DeviceClass::DualPlate->channels(), []);
    for ($i = 0; $i <= $duration * $rate; $i++) {
        $t = $i / $rate;
        $force = ($total === null ? 100.0 : $total($t)) / 100.0 * $weight;
        foreach (['lead' => $share($t) / 100.0, 'trail' => 1.0 - $share($t) / 100.0] as $side => $part) {
            foreach (
                [
                    'fx_n' => 0.0,
                    'fy_n' => 0.0,
                    'fz_n' => $force * $part,
                    'mz_nm' => 0.0,
                    'copx_mm' => $side === 'lead' ? 230.0 : -230.0,
                    'copy_mm' => 0.0,
                ] as $name => $value
            ) {
                $channels[$side.'_'.$name][] = $value;
            }
        }
    }

    return new Trace(DeviceClass::DualPlate, $rate, $channels, Stance::ofWidth(460.0), 80.0);
}

/** A mat trace with a closed-form lead share. */
function matTrace(callable $share, float $rate = 100.0, float $duration = 3.0): Trace
{
    $channels = array_fill_keys(DeviceClass::Mat->channels(), []);
    for ($i = 0; $i <= $duration * $rate; $i++) {
        $lead = $share($i / $rate);
        foreach (
            ['lead_pct' => $lead, 'trail_pct' => 100.0 - $lead, 'copx_mm' => -230.0 + 4.6 * $lead, 'copy_mm' => 0.0] as $name => $value
        ) {
            $channels[$name][] = $value;
        }
    }

    return new Trace(DeviceClass::Mat, $rate, $channels, Stance::ofWidth(460.0), 80.0);
}

/** Straight lines between [time, value] corners, level beyond the ends. */
function corners(array $knots): callable
{
    return static function (float $t) use ($knots): float {
        foreach ($knots as $i => [$at, $value]) {
            if ($t <= $at) {
                if ($i === 0) {
                    return (float) $value;
                }
                [$before, $from] = $knots[$i - 1];

                return $from + ($t - $before) / ($at - $before) * ($value - $from);
            }
        }

        return (float) end($knots)[1];
    };
}

function measure(
    ?Trace $trace,
    ?StationTimes $stations = null,
    ?Motion $motion = null,
    ?Stance $stance = null,
): Core\Measurement\Measurements {
    return Meter::read(new Evidence($stations ?? stations(), $trace, $motion, $stance ?? Stance::ofWidth(460.0)));
}

/** A rating set from rows of values, one row a rater, '.' for missing. */
function ratings(array $rows, string $item = ''): RatingSet
{
    $set = new RatingSet;
    foreach ($rows as $rater => $row) {
        foreach (is_array($row) ? $row : explode(' ', $row) as $i => $value) {
            $set->add(sprintf('c%03d', $i), $item, (string) $rater, $value === '.' ? '' : (string) $value);
        }
    }

    return $set;
}

/** @return resource a stream holding the text */
function stream(string $text)
{
    $stream = fopen('php://temp', 'r+b');
    fwrite($stream, $text);
    rewind($stream);

    return $stream;
}

/** Puts a recording on the Shelf, measured. */
function stored(mixed ...$of): App\Models\Recording
{
    $recording = app(App\Shelf\Actions\StoreRecording::class)(...$of);
    app(App\Shelf\Actions\MeasureRecording::class)($recording);

    return $recording->fresh();
}

/** @return array<string, mixed> what is kept of a round: the summary's members, the map, and all faults pooled */
function keptBodies(App\Models\Sitting $round): array
{
    $of = static fn (string $part): array => $round->result()
        ->firstOrFail()
        ->parts()
        ->where('part', $part)
        ->where('subject', '')
        ->sole()->body;

    return [...$of('summary'), 'map' => $of('map'), 'pooled' => $of('item')];
}
