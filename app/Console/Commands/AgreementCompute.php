<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\ConsoleException;
use App\Console\RatingFiles;
use App\Console\TextOptions;
use App\Console\Workers;
use App\Exceptions\Refusal;
use Core\Agreement\Figure;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Study\ItemResult;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\CoreException;
use Core\Format\AgreementCsv;
use Core\Format\CsvWriter;
use Core\Format\Json\StudyJson;
use Core\Format\RatingsCsv;
use Core\Remark\InWords;
use Core\Version;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

final class AgreementCompute extends Command
{
    use RatingFiles;
    use TextOptions;

    protected $signature = 'agreement:compute {file=- : ratings CSV, or - for standard input} {--key=} {--scale=nominal}
        {--weights=} {--categories=} {--positive=present} {--cannot-tell=} {--pairs=all} {--bootstrap=2000}
        {--seed=1} {--confidence=0.95} {--tolerance=} {--field-prevalence=} {--format=table} {--processes=1}
        {--check : work every count-based figure out twice, by packed sums and by definition, and compare}';

    protected $description = 'Agreement of raters with each other and with a key, from files; needs no database';

    public function __construct(private readonly InWords $words)
    {
        parent::__construct();
    }

    public function handle(): int
    {
        // Whole results may be large: they go to a file of the system's first, so that an error leaves no half of one.
        $out = tmpfile();
        if ($out === false) {
            throw ConsoleException::because('no-temporary');
        }
        try {
            $options = $this->studyOptions();
            $format = $this->oneOf('format', ['table', 'json', 'csv']);
            $processes = $this->whole('processes');
            $set = new RatingSet($this->scale(), $this->given('cannot-tell'));
            $input = [
                'ratings_sha256' => $this->read(
                    $this->text('file'),
                    static fn ($stream, string $name): string => RatingsCsv::readRatings($stream, $name, $set),
                ),
            ];
            $key = $this->given('key');
            if ($key !== null) {
                $input['key_sha256'] = $this->read(
                    $key,
                    static fn ($stream, string $name): string => RatingsCsv::readKey($stream, $name, $set),
                );
            }
            $study = new Study($set, $options);
            $items = $set->items();
            $checked = $this->option('check') === true ? self::check($study, $items) : null;
            $blocks = Workers::map(
                $processes,
                [...array_fill(0, count($items), 1.0), max(1.0, count($items) / 3)],
                fn (int $i): string => $this->block($study, $items, $i, $format),
            );
            foreach ($blocks as $i => $text) {
                fwrite(
                    $out,
                    match (true) {
                        $format !== 'json' => $i === 0 && $format === 'csv'
                            ? CsvWriter::row(AgreementCsv::HEADER).$text
                            : $text,
                        $i === 0 => $this->opening($set->scale, $options).$text,
                        $i < count($items) => ",\n".$text,
                        default => "\n],\"pooled\":".
                            $text.
                            ',"provenance":'.
                            self::json($this->provenance($input)).
                            '}',
                    },
                );
            }
        } catch (CoreException $e) {
            fclose($out);
            $this->output->getErrorStyle()->writeln(Refusal::sentenceOf($e), OutputInterface::OUTPUT_RAW);

            return self::FAILURE;
        }
        rewind($out);
        while (($part = fread($out, 1 << 20)) !== false && $part !== '') {
            $this->output->write($part, false, OutputInterface::OUTPUT_RAW);
        }
        fclose($out);
        if ($format === 'json') {
            $this->output->writeln('', OutputInterface::OUTPUT_RAW);
        }
        if ($checked !== null) {
            $this->output->getErrorStyle()->writeln(
                "$checked figures worked out twice, by packed sums and by definition: the same",
                OutputInterface::OUTPUT_RAW,
            );
        }

        return self::SUCCESS;
    }

    /**
     * @param  list<string>  $items
     * @return int how many figures were worked out twice
     *
     * @throws CoreException when two ways do not agree
     */
    private static function check(Study $study, array $items): int
    {
        $n = 0;
        foreach ([...array_map(static fn (string $item): array => [$item], $items), $items] as $of) {
            foreach ($study->twoWays($of) as $both) {
                $n++;
                if (! $both->isSame()) {
                    throw ConsoleException::because(
                        count($of) === 1 ? 'two-ways-item' : 'two-ways-all',
                        figure: $both->figure,
                        item: $of[0],
                        packed: var_export($both->packed, true),
                        defined: var_export($both->defined, true),
                    );
                }
            }
        }

        return $n;
    }

    /** @param  list<string>  $items */
    private function block(Study $study, array $items, int $i, string $format): string
    {
        $pooled = $i === count($items);
        $found = $study->item($pooled ? $items : [$items[$i]]);
        $block = $format === 'json' ? StudyJson::published($this->words)->item($found) : [];
        $name = $pooled ? '(pooled)' : $items[$i];

        return match ($format) {
            'json' => self::json($pooled ? $block : ['item' => $name, ...$block]),
            'csv' => implode(
                '',
                array_map(
                    CsvWriter::row(...),
                    iterator_to_array(AgreementCsv::rows($name, $found, $this->words), false),
                ),
            ),
            default => $pooled && count($items) === 1 ? '' : $this->readable($name, $found),
        };
    }

    private function opening(Scale $scale, StudyOptions $options): string
    {
        return substr(
            self::json(
                StudyJson::published($this->words)->heading(
                    $scale,
                    $options->confidence->level,
                    $options->bootstrap,
                    $options->seed,
                ),
            ),
            0,
            -1,
        ).",\"items\":[\n";
    }

    /**
     * @param  array<string, string>  $input
     * @return array<string, mixed>
     */
    private function provenance(array $input): array
    {
        $options = [];
        foreach (
            [
                'scale',
                'weights',
                'categories',
                'positive',
                'cannot-tell',
                'pairs',
                'bootstrap',
                'seed',
                'confidence',
                'tolerance',
                'field-prevalence',
            ] as $name
        ) {
            $options[str_replace('-', '_', $name)] = $this->given($name);
        }

        return ['version' => Version::AGREEMENT, 'options' => $options, 'input' => $input];
    }

    /** @param  array<string, mixed>  $of */
    private static function json(array $of): string
    {
        return json_encode(
            $of,
            JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
        );
    }

    private function studyOptions(): StudyOptions
    {
        if ($this->given('weights') !== null && $this->scale() === Scale::Nominal) {
            throw ConsoleException::because('nominal-weights');
        }
        $categories = $this->given('categories');

        return new StudyOptions(
            $categories === null ? null : Study::declared($categories),
            trim($this->text('positive')),
            $this->given('cannot-tell'),
            $this->oneOf('pairs', ['all', 'none']) === 'all',
            $this->whole('bootstrap'),
            $this->whole('seed'),
            Scale::decimal($this->text('confidence')) ??
                throw ConsoleException::because('confidence'),
            $this->given('weights'),
            $this->given('tolerance') === null
                ? null
                : Scale::decimal($this->text('tolerance')) ?? throw ConsoleException::because('tolerance'),
            fieldPrevalence: $this->given('field-prevalence') === null
                ? null
                : Scale::decimal($this->text('field-prevalence'))
                ?? throw ConsoleException::because('field-prevalence'),
        );
    }

    private function scale(): Scale
    {
        return Scale::from($this->oneOf('scale', array_column(Scale::cases(), 'value')));
    }

    private function readable(string $name, ItemResult $found): string
    {
        $number = static fn (?float $v): string => $v === null ? '' : sprintf('%.3f', $v);
        $line = fn (string $what, Figure $f): string => sprintf(
            "  %-22s %s\n",
            $what,
            $f->estimate === null
                ? '–         '.($f->reason === null ? '' : $this->words->phrase($f->reason))
                : trim(
                    sprintf(
                        '%9.6f  %-18s %s',
                        $f->estimate,
                        $f->low === null ? '' : $number($f->low).' … '.$number($f->high),
                        $f->method,
                    ),
                ),
        );
        $text = sprintf(
            "%s%d cases, %d raters, %d ratings; %g %% intervals\n",
            $name === '' ? '' : $name.': ',
            $found->cases,
            $found->raters,
            $found->ratings,
            100 * (float) $this->text('confidence'),
        );
        foreach ($found->coefficients as $coefficient => $f) {
            $text .= $line($coefficient, $f);
            $few ??= $f->estimate === null ? null : $f->reason;
            if ($f->newReaders?->low !== null) {
                $text .= sprintf(
                    "    %-20s %-10s%s … %s\n",
                    'readers like these',
                    '',
                    $number($f->newReaders->low),
                    $number($f->newReaders->high),
                );
            }
        }
        $text .= isset($few) ? '  '.$this->words->phrase($few)."\n" : '';
        foreach ($found->specific as $category => $f) {
            $text .= $line('on '.$category, $f);
        }
        foreach ($found->againstKey as $row) {
            $text .= sprintf("  %s against the key, %d calls\n", $row->rater, $row->n);
            foreach ($row->figures as $figure => $f) {
                $text .= '  '.$line($figure, $f);
            }
        }

        return $text."\n";
    }
}
