<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TextOptions;
use Core\Agreement\RatingSet;
use Core\Agreement\Study;
use Core\Agreement\StudyOptions;
use Core\CoreException;
use Core\Format\FormatException;
use Core\Format\RatingsCsv;
use Illuminate\Console\Command;

final class AgreementCompute extends Command
{
    use TextOptions;

    protected $signature = 'agreement:compute {file : ratings CSV} {--key=} {--scale=nominal} {--weights=} {--categories=} {--positive=present}
        {--cannot-tell=} {--pairs=all} {--bootstrap=2000} {--seed=1} {--confidence=0.95} {--tolerance=} {--format=table}';

    protected $description = 'Agreement of raters with each other and with a key, from files; needs no database';

    public function handle(): int
    {
        try {
            $result = $this->study()->result();
        } catch (CoreException $e) {
            $this->output->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        match ($this->text('format')) {
            'json' => $this->line((string) json_encode($result, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)),
            'csv' => $this->csv($result),
            default => $this->readable($result),
        };

        return self::SUCCESS;
    }

    private function study(): Study
    {
        $options = $this->studyOptions();
        $set = new RatingSet;
        $this->read($this->text('file'), static fn ($stream, string $name) => RatingsCsv::readRatings($stream, $name, $set));
        $key = $this->given('key');
        if ($key !== null) {
            $this->read($key, static fn ($stream, string $name) => RatingsCsv::readKey($stream, $name, $set));
        }

        return new Study($set, $options);
    }

    private function studyOptions(): StudyOptions
    {
        $scale = $this->text('scale');
        if (! in_array($scale, ['nominal', 'ordinal', 'interval', 'ratio'], true)) {
            throw new CoreException("--scale is '$scale', not nominal, ordinal, interval or ratio");
        }
        if ($scale !== 'nominal') {
            throw new CoreException("--scale=$scale is not there yet; nominal is");
        }
        if ($this->given('weights') !== null) {
            throw new CoreException('--weights has no meaning on a nominal scale');
        }
        if (! in_array($this->text('format'), ['table', 'json', 'csv'], true)) {
            throw new CoreException("--format is '{$this->text('format')}', not table, json or csv");
        }
        if (! in_array($this->text('pairs'), ['all', 'none'], true)) {
            throw new CoreException("--pairs is '{$this->text('pairs')}', not all or none");
        }
        $categories = $this->given('categories');
        $missing = $this->given('cannot-tell');

        return new StudyOptions(
            $categories === null ? null : Study::declared($categories),
            $this->text('positive'),
            $missing,
            $this->text('pairs') === 'all',
            $this->whole('bootstrap'),
            $this->whole('seed'),
            (float) (RatingsCsv::decimal($this->text('confidence')) ?? throw new CoreException('--confidence must be a number between 0 and 1')),
        );
    }

    private function whole(string $name): int
    {
        $text = $this->text($name);

        return preg_match('/^-?\d{1,18}$/', $text) === 1 ? (int) $text : throw new CoreException("--$name is '$text', not a whole number");
    }

    private function read(string $path, callable $reader): void
    {
        $name = basename($path);
        $stream = is_dir($path) ? false : @fopen($path, 'rb');
        if ($stream === false) {
            throw FormatException::in($name, 'the file cannot be read');
        }
        try {
            $reader($stream, $name);
        } finally {
            fclose($stream);
        }
    }

    /** @param  array<string, mixed>  $result */
    private function csv(array $result): void
    {
        $out = fopen('php://output', 'wb');
        assert($out !== false);
        fputcsv($out, ['item', 'coefficient', 'estimate', 'se', 'low', 'high', 'method', 'reason'], ',', '"', '');
        foreach ([...$result['items'], ['item' => '(pooled)', ...$result['pooled']]] as $block) {
            foreach ($block['coefficients'] as $name => $f) {
                fputcsv($out, [$block['item'], $name, $f['estimate'], $f['se'] ?? '', $f['low'] ?? '', $f['high'] ?? '', $f['method'] ?? '', $f['reason'] ?? ''], ',', '"', '');
            }
        }
        fclose($out);
    }

    /** @param  array<string, mixed>  $result */
    private function readable(array $result): void
    {
        foreach (count($result['items']) === 1 ? $result['items'] : [...$result['items'], ['item' => '(pooled)', ...$result['pooled']]] as $block) {
            $this->line(sprintf('%s%d cases, %d raters, %d ratings', $block['item'] === '' ? '' : $block['item'].': ', $block['cases'], $block['raters'], $block['ratings']));
            $rows = [];
            foreach ($block['coefficients'] as $name => $f) {
                $rows[] = $f['estimate'] === null ? [$name, '–', '', $f['reason']] : [$name, sprintf('%.6f', $f['estimate']), $f['low'] === null ? '' : sprintf('%.3f … %.3f', $f['low'], $f['high']), $f['method']];
            }
            $this->table(['coefficient', 'estimate', sprintf('%g %% interval', 100 * $result['confidence']), ''], $rows);
        }
    }
}
