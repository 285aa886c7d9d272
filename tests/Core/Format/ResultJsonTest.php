<?php

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Judgement;
use Core\Codebook\SwingReport;
use Core\Consensus\KeyEntry;
use Core\Format\Json\JudgementJson;
use Core\Format\Json\KeyEntryJson;
use Core\Format\Json\MeasuredJson;
use Core\Format\Json\QualityJson;
use Core\Format\Json\RemarkJson;
use Core\Format\Json\VerdictJson;
use Core\Measurement\Evidence;
use Core\Measurement\QualityNote;
use Core\Motion\Station;
use Core\Motion\View;
use Core\Reading\Call;
use Core\Reading\Presence;
use Core\Reading\Severity;
use Core\Remark\Remark;
use Core\Remark\RemarkCode;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

/** As a row of the database gives it back. */
function asStored(mixed $data): mixed
{
    return json_decode(json_encode($data, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true);
}

/**
 * Swings of every device, with points, film or neither, with channels broken at random.
 *
 * @return list<SwingReport>
 */
function manySwings(int $n): array
{
    static $c = null;
    static $out = [];
    $c ??= new Chance('written and read');
    for ($i = count($out); $i < $n; $i++) {
        $device = DeviceClass::cases()[$i % 3];
        $fault = Codebook::standard()->keys()[$c->between(0, 22)];
        $s = Swing::simulated(new GolferSpec("json-$i", new Plant([$fault => $c->between(1, 3)]), device: $device));
        $motion = [null, $s->motion(), $s->motion()->seen(View::FaceOn), $s->motion()->seen(View::DownTheLine)][
            $c->between(0, 3)
        ];
        $trace = $s->trace;
        if ($c->uniform() < 0.6) {
            $channels = $trace->channels;
            $name = array_keys($channels)[$c->between(0, count($channels) - 1)];
            $from = $c->between(0, $trace->samples() - 60);
            foreach (range($from, $from + $c->between(1, 50)) as $k) {
                $channels[$name][$k] = [NAN, $channels[$name][$from], 0.0][$i % 3];
            }
            $trace = new Trace(
                $device,
                $trace->rateHz,
                $channels,
                $c->uniform() < 0.7 ? $trace->stance : null,
                $c->uniform() < 0.7 ? $trace->massKg : null,
            );
        }
        $out[] = new SwingReport(new Evidence($s->stations, $trace, $motion, $trace->stance));
    }

    return array_slice($out, 0, $n);
}

it('reads back what it wrote of measures, findings and verdicts, bit for bit', function () {
    foreach (manySwings(many(12, 36)) as $report) {
        $measurements = $report->assessment->measurements;
        expect(MeasuredJson::read(asStored(MeasuredJson::write($measurements))))->toEqual($measurements);
        foreach ($report->assessment->quality() as $note) {
            expect(QualityJson::read(asStored(QualityJson::write($note))))->toEqual($note);
        }
        foreach (['early-recentre', 'loaded-top'] as $lens) {
            foreach ($report->faults(Codebook::standard($lens)) as $verdict) {
                expect(VerdictJson::read(asStored(VerdictJson::write($verdict))))->toEqual($verdict);
            }
        }
    }
});

it('reads back a key entry, and publishes it by its schema', function () {
    $c = new Chance('key entries');
    $swings = manySwings(9);
    $stations = Station::cases();
    for ($i = 0; $i < 60; $i++) {
        $verdicts = array_map(
            static fn (SwingReport $r): array => $r->faults(Codebook::standard()),
            array_slice($swings, $c->between(0, 5), $c->between(1, 3)),
        );
        $fault = Codebook::standard()->keys()[$c->between(0, 22)];
        $judgements = array_map(static fn (array $v): Judgement => $v[$fault]->judgement, $verdicts);
        $judgement = match (count($judgements)) {
            1 => $judgements[0],
            2 => Judgement::ofPair(...$judgements),
            default => Judgement::ofSeries($judgements),
        };
        $calls = [];
        for ($p = 0; $p < 5; $p++) {
            $presence = Presence::cases()[$c->between(0, 2)];
            $there = $presence === Presence::Present;
            $calls[] = new Call(
                $fault,
                $presence,
                $there ? Severity::from($c->between(1, 3)) : null,
                $there ? $stations[$c->between(0, 8)] : null,
            );
        }
        $entry = KeyEntry::fromCalls($fault, $calls, $judgement, 0.75, 3);
        $written = asStored(KeyEntryJson::write($entry));
        expect(KeyEntryJson::read($written))->toEqual($entry);
        $validator = new JsonSchema\Validator;
        $data = json_decode(json_encode(KeyEntryJson::write($entry), JSON_PRESERVE_ZERO_FRACTION));
        $validator->validate(
            $data,
            (object) ['$ref' => 'file://'.dirname(__DIR__, 3).'/docs/schemas/key.schema.json'],
        );
        expect(
            array_map(static fn (array $e): string => $e['property'].': '.$e['message'], $validator->getErrors()),
        )->toBe([]);
    }
    expect(fn () => KeyEntryJson::read(['version' => 9, 'item' => 'sway']))->toRefuse('version');
});

it('decides from the margin that was found, not from one that was rounded', function () {
    foreach (manySwings(12) as $report) {
        foreach ($report->faults(Codebook::standard()) as $verdict) {
            $j = $verdict->judgement;
            $short = new Judgement($j->verdict, $j->margin === null ? null : 1.0 - 4e-4, $j->why);
            expect(JudgementJson::read(asStored(JudgementJson::write($short)))->isSure())->toBeFalse();
        }
    }
});

/** @return list<class-string<RemarkCode>> every enum of codes in core */
function remarkCodes(): array
{
    $out = [];
    foreach (
        new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator(dirname(__DIR__, 3).'/core', FilesystemIterator::SKIP_DOTS),
        ) as $file
    ) {
        if (str_contains((string) file_get_contents($file->getPathname()), 'implements RemarkCode')) {
            $out[] = 'Core'.strtr(substr($file->getPathname(), strlen(dirname(__DIR__, 3).'/core'), -4), '/', '\\');
        }
    }

    return $out;
}

it('has a line for every code, and no line for a code that is none', function () {
    $lines = require dirname(__DIR__, 3).'/lang/en/remarks.php';
    $codes = array_merge(
        ...array_map(static fn (string $enum): array => array_column($enum::cases(), 'value'), remarkCodes()),
    );
    expect(count($codes))->toBeGreaterThan(60)->and($codes)->toBe(array_unique($codes));
    $worded = [];
    foreach ($lines as $group => $of) {
        foreach (
            is_array($of)
                && ! in_array($group, ['between', 'op', 'channels', 'evidence'], true) ? $of : [] as $code => $line
        ) {
            $worded[] = "$group.$code";
        }
    }
    expect(array_diff($codes, $worded))->toBe([])->and(array_diff($worded, $codes))->toBe([]);
});

it('leaves nothing unsaid: no parameter stays open and no code is shown, whatever was recorded', function () {
    $seen = [];
    $read = static function (string $words, Remark $remark) use (&$seen): void {
        $seen[$remark->code] = true;
        expect($words)
            ->not->toMatch('/(^|[\s(]):[a-z]/i')
            ->not->toContain('remarks.')
            ->not->toContain('NAN')
            ->not->toBe('');
    };
    foreach (manySwings(many(24, 48)) as $i => $report) {
        foreach ($report->assessment->measurements->all() as $found) {
            foreach (is_array($found) ? $found : [$found] as $m) {
                foreach (array_filter([$m->reason, $m->proxy, $m->widened]) as $remark) {
                    $read(inWords()->phrase($remark), $remark);
                }
            }
        }
        array_map(
            static fn (QualityNote $n) => $read(inWords()->say($n->finding->remark), $n->finding->remark),
            $report->assessment->quality(),
        );
        array_map(
            static fn (FaultVerdict $v) => $read(
                inWords()->say($v->judgement->why, ['fault' => 'slide']),
                $v->judgement->why,
            ),
            $report->faults(Codebook::standard()),
        );
    }
    expect(count($seen))->toBeGreaterThan(25);
});

it('keeps the words of before as they were', function () {
    $old = RemarkJson::read('Sway is supported: pelvis sway at LB −22 ± 2 (rule: < −18 % of stance width).');
    expect(inWords()->say($old))->toBe('Sway is supported: pelvis sway at LB −22 ± 2 (rule: < −18 % of stance width).')
        ->and(RemarkJson::read(asStored(RemarkJson::write($old))))->toEqual($old);
});

it('refuses a row that is none, naming what is wrong with it', function (callable $read, mixed $row, string $why) {
    expect(fn () => $read($row))->toRefuse($why);
})->with([
    [MeasuredJson::read(...), ['charm' => ['value' => 1.0]], 'charm is no measure'],
    [MeasuredJson::read(...), ['tempo' => ['value' => true, 'unit' => 'ratio']], 'value is no value'],
    [MeasuredJson::read(...), ['tempo' => ['value' => 3.0]], 'unit must be a short text'],
    [MeasuredJson::read(...), 'all well', 'an object is missing'],
    [QualityJson::read(...), ['kind' => 'mass', 'severity' => 'awful', 'effect' => 'nulled'], 'severity is not known'],
    [VerdictJson::read(...), ['observability' => 'perhaps'], "observability is 'perhaps'"],
    [RemarkJson::read(...), ['code' => 'lack.mass', 'with' => ['of' => true]], 'of is no parameter'],
]);
