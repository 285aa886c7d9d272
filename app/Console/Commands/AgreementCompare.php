<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\ConsoleException;
use App\Console\RatingFiles;
use App\Console\TextOptions;
use App\Exceptions\Refusal;
use Core\Agreement\Caution;
use Core\Agreement\Figure;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Study\Change;
use Core\Agreement\Study\ComparisonResult;
use Core\Agreement\Study\RoundComparison;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\CoreException;
use Core\Format\Json\ComparisonJson;
use Core\Format\Json\RemarkJson;
use Core\Format\RatingsCsv;
use Core\Remark\InWords;
use Core\Remark\Remark;
use Core\Version;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

final class AgreementCompare extends Command
{
    use RatingFiles;
    use TextOptions;

    protected $signature = 'agreement:compare {before : ratings CSV} {after : ratings CSV, or - for standard input}
        {--key=} {--categories=} {--positive=present} {--cannot-tell=} {--bootstrap=2000} {--seed=1}
        {--confidence=0.95} {--format=table}';

    protected $description = 'How far two rounds differ on the cases and readers that both have; needs no database';

    public function __construct(private readonly InWords $words)
    {
        parent::__construct();
    }

    public function handle(): int
    {
        try {
            $format = $this->oneOf('format', ['table', 'json']);
            $options = $this->asked();
            [$before, $after] = [$this->set('before', $options), $this->set('after', $options)];
            $found = (new RoundComparison($before[0], $after[0], $options))->result();
            $text = $format === 'json'
                ? json_encode(
                    $this->published($found, $before[1], $after[1]),
                    JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
                )."\n"
                : $this->readable($found);
        } catch (CoreException $e) {
            $this->output->getErrorStyle()->writeln(Refusal::sentenceOf($e), OutputInterface::OUTPUT_RAW);

            return self::FAILURE;
        }
        $this->output->write($text, false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    /** @throws CoreException */
    private function asked(): StudyOptions
    {
        $categories = $this->given('categories');

        return new StudyOptions(
            categories: $categories === null ? null : Study::declared($categories),
            positive: trim($this->text('positive')),
            cannotTell: $this->given('cannot-tell'),
            bootstrap: $this->whole('bootstrap'),
            seed: $this->whole('seed'),
            confidence: Scale::decimal($this->text('confidence')) ?? throw ConsoleException::because('confidence'),
        );
    }

    /**
     * @return array{RatingSet, array<string, string>} with the key, and the checksums of what was read
     *
     * @throws CoreException
     */
    private function set(string $which, StudyOptions $options): array
    {
        $set = new RatingSet(Scale::Nominal, $options->cannotTell);
        $sums = ['ratings_sha256' => $this->read(
            $this->text($which),
            static fn ($stream, string $name): string => RatingsCsv::readRatings($stream, $name, $set),
        )];
        $key = $this->given('key');
        if ($key !== null) {
            $sums['key_sha256'] = $this->read(
                $key,
                static fn ($stream, string $name): string => RatingsCsv::readKey($stream, $name, $set),
            );
        }

        return [$set, $sums];
    }

    private function caution(?ComparisonResult $found): Remark
    {
        return Remark::of($found === null ? Caution::DifferentCases : Caution::PracticeAndMemory);
    }

    /**
     * @param  array<string, string>  $before
     * @param  array<string, string>  $after
     * @return array<string, mixed>
     */
    private function published(?ComparisonResult $found, array $before, array $after): array
    {
        $caution = $this->caution($found);

        return [
            ...($found === null ? ['anchors' => 0] : ComparisonJson::publish($found, $this->words)),
            'caution' => $this->words->phrase($caution),
            'caution_code' => RemarkJson::write($caution),
            'provenance' => [
                'version' => Version::AGREEMENT,
                'options' => array_map(
                    fn (string $name): ?string => $this->given($name),
                    array_combine(
                        ['categories', 'positive', 'cannot_tell', 'bootstrap', 'seed', 'confidence'],
                        ['categories', 'positive', 'cannot-tell', 'bootstrap', 'seed', 'confidence'],
                    ),
                ),
                'before' => $before,
                'after' => $after,
            ],
        ];
    }

    private function readable(?ComparisonResult $found): string
    {
        $caution = $this->words->phrase($this->caution($found))."\n";
        if ($found === null) {
            return $caution;
        }
        $text = sprintf(
            "%d cases of %d golfers or clusters, %d readers, judged in both\n",
            $found->anchors,
            $found->clusters,
            $found->readers,
        );
        foreach ($found->coefficients as $name => $change) {
            $text .= $this->row($name, $change);
        }
        foreach ($found->specific as $category => $change) {
            $text .= $this->row("on $category", $change);
        }
        foreach ($found->right as $rater => $change) {
            $text .= $this->row("right: $rater", $change);
        }

        return $text.$caution;
    }

    private function row(string $name, Change $c): string
    {
        $ends = static fn (?float $low, ?float $high): string => $low === null || $high === null
            ? ''
            : sprintf('%+.3f … %+.3f', $low, $high);
        $d = $c->difference;

        return sprintf("  %-22s %s\n", $name, $d->estimate === null ? $this->why($d) : rtrim(sprintf(
            '%.3f → %.3f  %+.3f  %-18s %-9s %s',
            $c->first,
            $c->second,
            $d->estimate,
            $ends($d->low, $d->high),
            $c->adjusted === null ? '' : sprintf('p %.4f', $c->adjusted),
            $d->newReaders?->low === null
                ? ''
                : 'readers like these '.$ends($d->newReaders->low, $d->newReaders->high),
        )));
    }

    private function why(Figure $f): string
    {
        return '–  '.($f->reason === null ? '' : $this->words->phrase($f->reason));
    }
}
