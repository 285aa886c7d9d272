<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\ConsoleException;
use App\Console\TextOptions;
use App\Exceptions\Refusal;
use App\Words\Term;
use Core\Codebook\ClubGroup;
use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\FaultVerdict;
use Core\Codebook\StandardLenses;
use Core\Codebook\SwingReport;
use Core\Codebook\SwingSize;
use Core\CoreException;
use Core\Format\ImportSettings;
use Core\Format\Json\SwingJson;
use Core\Format\RecordingReader;
use Core\Format\SideCar;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Motion\Station;
use Core\Motion\StationFinder;
use Core\Motion\StationTimes;
use Core\Number\Written;
use Core\Remark\InWords;
use Core\Trace\DeviceClass;
use Illuminate\Console\Command;

final class TraceMeasure extends Command
{
    use TextOptions;

    protected $signature =
        'trace:measure {file : trace CSV, recording bundle or C3D} {--meta= : side-car JSON} {--device= : mat, plate '
            .'or dual-plate} {--lens='.
        StandardLenses::DEFAULT.
        '} {--format=table : table, json or csv} {--target=+x : for C3D, the laboratory axis that points to the '
            .'target}';

    protected $description = 'Measure one recorded swing and judge every fault, from files; needs no database';

    public function __construct(private readonly InWords $words)
    {
        parent::__construct();
    }

    public function handle(): int
    {
        try {
            [$report, $codebook] = $this->report();
        } catch (CoreException $e) {
            $this->output->getErrorStyle()->writeln(Refusal::sentenceOf($e));

            return self::FAILURE;
        }
        match ($this->text('format')) {
            'json' => $this->line(
                (string) json_encode(
                    SwingJson::publish($report, $codebook, $this->words),
                    JSON_PRETTY_PRINT |
                        JSON_UNESCAPED_SLASHES |
                        JSON_UNESCAPED_UNICODE |
                        JSON_THROW_ON_ERROR |
                        JSON_PRESERVE_ZERO_FRACTION,
                ),
            ),
            'csv' => $this->csv($report),
            default => $this->readable($report, $codebook),
        };

        return self::SUCCESS;
    }

    /** @return array{SwingReport, Codebook} */
    private function report(): array
    {
        $format = $this->text('format');
        if (! in_array($format, ['table', 'json', 'csv'], true)) {
            throw ConsoleException::because('format', format: $format);
        }
        $target = $this->oneOf('target', ['+x', '-x', '+y', '-y']);
        $device = $this->given('device');
        if ($device !== null && DeviceClass::tryFrom($device) === null) {
            throw ConsoleException::because('device', device: $device);
        }
        $meta = $this->given('meta');
        $car = $meta === null ? new SideCar : SideCar::read($this->contents($meta), basename($meta));
        // An unknown lens is refused before a long file is read.
        CodebookDocument::standard()->under($this->text('lens'));
        $file = $this->text('file');
        $stream = is_file($file) ? @fopen($file, 'rb') : false;
        if ($stream === false) {
            throw ConsoleException::because('unreadable', path: basename($file));
        }
        try {
            $in = RecordingReader::read(
                $stream,
                basename($file),
                $car,
                new ImportSettings(
                    $device === null ? null : DeviceClass::from($device),
                    $car->hand,
                    target: $target,
                ),
            );
        } finally {
            fclose($stream);
        }
        // Stations that are given are taken as they are; those that are not are proposed.
        $given = $in->stations ?? StationTimes::fromTimes([]);
        $found = count($given->all()) === count(Station::cases()) ? null : StationFinder::find($in->views, $in->trace);
        $times = $found === null ? $given : $given->filledFrom($found->times);
        $codebook = CodebookDocument::standard()->under(
            $this->text('lens'),
            ClubGroup::ofClub($in->facts->club),
            $in->facts->swing ?? 'full',
            $in->swing->size ?? SwingSize::ofSwing(null, $in->facts->club),
        );

        return [
            new SwingReport(
                new Evidence(
                    $times,
                    $in->trace,
                    $in->views,
                    $in->trace->stance,
                ),
                array_diff_key($found->doubts ?? [], $given->all()),
            ),
            $codebook,
        ];
    }

    private function contents(string $path): string
    {
        $text = is_file($path) ? @file_get_contents($path, false, null, 0, 1_000_001) : false;

        return match (true) {
            $text === false => throw ConsoleException::because('unreadable', path: basename($path)),
            strlen($text) > 1_000_000 => throw ConsoleException::because('side-car', path: basename($path)),
            default => $text,
        };
    }

    private function csv(SwingReport $report): void
    {
        $out = fopen('php://temp', 'r+b');
        if ($out === false) {
            return;
        }
        fputcsv($out, ['measure', 'station', 'value', 'unit', 'uncertainty', 'censored', 'reason'], ',', '"', '');
        $this->each($report, function (Measure $measure, string $station, Measured $m) use ($out): void {
            fputcsv(
                $out,
                [
                    $measure->value,
                    $station,
                    is_array($m->value)
                        ? implode(' ', $m->value)
                        : (is_float($m->value)
                            ? round($m->value, 4)
                            : $m->value),
                    $m->unit,
                    $m->uncertainty === null ? null : round($m->uncertainty, 4),
                    $m->censored,
                    $m->reason === null ? null : $this->words->phrase($m->reason),
                ],
                ',',
                '"',
                '',
            );
        });
        rewind($out);
        $this->output->write((string) stream_get_contents($out));
    }

    private function readable(SwingReport $report, Codebook $codebook): void
    {
        foreach ($report->assessment->findings as $finding) {
            $this->line('! '.$this->words->say($finding->remark));
        }
        $rows = [];
        $this->each($report, function (Measure $measure, string $station, Measured $m) use (&$rows): void {
            $rows[] = [
                Term::measure($measure, $station === '' ? null : $station),
                mb_strimwidth($this->shown($m), 0, 70, '…'),
                $m->value === null ? '' : $m->unit,
            ];
        });
        $this->table(['measure', 'value', 'unit'], $rows);
        $this->table(
            ['fault', 'verdict', 'margin', 'can it be seen'],
            array_map(
                static fn (string $key, FaultVerdict $f): array => [
                    $codebook->fault($key)->name,
                    $f->said()->value,
                    $f->judgement->margin === null ? '' : Written::fixed($f->judgement->margin, 2),
                    $f->observability->value,
                ],
                array_keys($report->faults($codebook)),
                $report->faults($codebook),
            ),
        );
    }

    private function shown(Measured $m): string
    {
        return match (true) {
            $m->value === null && $m->reason !== null => 'not measurable ('.$this->words->phrase($m->reason).')',
            $m->censored !== null && $m->reason !== null => $this->words->phrase($m->reason),
            is_array($m->value) => implode(', ', $m->value),
            is_float($m->value) => Written::short($m->value).' ± '.Written::short((float) $m->uncertainty),
            default => (string) $m->value,
        };
    }

    /** @param  callable(Measure, string, Measured): void  $do */
    private function each(SwingReport $report, callable $do): void
    {
        foreach ($report->assessment->measurements->all() as $key => $found) {
            foreach ($found instanceof Measured ? ['' => $found] : $found as $station => $m) {
                $do(Measure::from($key), (string) $station, $m);
            }
        }
    }
}
