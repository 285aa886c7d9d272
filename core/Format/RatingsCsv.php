<?php

declare(strict_types=1);

namespace Core\Format;

use Core\Agreement\AgreementException;
use Core\Agreement\PanelVote;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\CoreException;

/** Reads ratings.csv and key.csv of the published file contract. */
final class RatingsCsv
{
    /**
     * @param  resource  $stream
     * @return string SHA-256 of the file
     *
     * @throws FormatException
     */
    public static function readRatings($stream, string $file, RatingSet $into): string
    {
        $table = new CsvTable($stream, $file);
        $at = $table->require(['case', 'rater', 'value']);
        $item = $table->position('item');
        $occasion = $table->position('occasion');
        $confidence = $table->position('confidence');
        $cluster = $table->position('cluster');
        [$case, $rater, $value] = [$at['case'], $at['rater'], $at['value']];
        foreach ($table->rows() as $line => $cells) {
            if ($cells[$case] === '' || $cells[$rater] === '') {
                throw FormatException::at($file, $line, $cells[$case] === '' ? 'case' : 'rater', 'cell-empty');
            }
            $sure = null;
            if ($confidence !== null && $cells[$confidence] !== '') {
                $sure = Scale::decimal($cells[$confidence]);
                if ($sure === null || $sure < 0.0 || $sure > 1.0) {
                    throw FormatException::at(
                        $file,
                        $line,
                        'confidence',
                        'no-share',
                        confidence: FormatException::short($cells[$confidence]),
                    );
                }
            }
            $when = $occasion === null || $cells[$occasion] === '' ? '1' : $cells[$occasion];
            try {
                $into->add(
                    $cells[$case],
                    $item === null ? '' : $cells[$item],
                    $cells[$rater],
                    $cells[$value],
                    $when,
                    $sure,
                );
            } catch (CoreException $e) {
                $objection = $into->objection($cells[$value]);
                throw $objection === null
                    ? FormatException::at($file, $line, 'rater', $e)
                    : FormatException::at(
                        $file,
                        $line,
                        'value',
                        AgreementException::because($objection, value: FormatException::short($cells[$value])),
                    );
            }
            self::group($into, $file, $line, $cells[$case], $cluster === null ? '' : $cells[$cluster]);
        }
        if ($into->isEmpty()) {
            throw FormatException::in($file, 'no-ratings');
        }

        return $table->checksum();
    }

    /**
     * @param  resource  $stream
     * @return string SHA-256 of the file
     *
     * @throws FormatException
     */
    public static function readKey($stream, string $file, RatingSet $into): string
    {
        $table = new CsvTable($stream, $file);
        $at = $table->require(['case', 'value']);
        $item = $table->position('item');
        $cluster = $table->position('cluster');
        $votes = array_filter([
            'present' => $table->position('present'),
            'absent' => $table->position('absent'),
            'weight' => $table->position('weight'),
        ], is_int(...));
        foreach ($table->rows() as $line => $cells) {
            if ($cells[$at['case']] === '') {
                throw FormatException::at($file, $line, 'case', 'cell-empty');
            }
            try {
                $vote = self::vote($file, $line, array_map(static fn (int $i): string => $cells[$i], $votes));
                $into->addKey($cells[$at['case']], $item === null ? '' : $cells[$item], $cells[$at['value']], $vote);
            } catch (FormatException $e) {
                throw $e;
            } catch (CoreException $e) {
                throw FormatException::at(
                    $file,
                    $line,
                    $into->objection($cells[$at['value']]) === null ? 'case' : 'value',
                    $e,
                );
            }
            self::group($into, $file, $line, $cells[$at['case']], $cluster === null ? '' : $cells[$cluster]);
        }

        return $table->checksum();
    }

    /**
     * @param  array<string, string>  $cells  by column, of those that are there
     *
     * @throws CoreException
     */
    private static function vote(string $file, int $line, array $cells): ?PanelVote
    {
        $weight = $cells['weight'] ?? '';
        if ($weight !== '') {
            $value = Scale::decimal($weight);
            if ($value === null || $value < 0.0 || $value > 1.0) {
                throw FormatException::at($file, $line, 'weight', 'no-share',
                    confidence: FormatException::short($weight));
            }

            return PanelVote::weighed($value);
        }
        $counts = [];
        foreach (['present', 'absent'] as $name) {
            $text = $cells[$name] ?? '';
            if ($text !== '' && preg_match('/^\d{1,6}$/D', $text) !== 1) {
                throw FormatException::at($file, $line, $name, 'no-count', text: FormatException::short($text));
            }
            $counts[$name] = $text === '' ? null : (int) $text;
        }

        return $counts['present'] === null && $counts['absent'] === null
            ? null
            : PanelVote::counted($counts['present'] ?? 0, $counts['absent'] ?? 0);
    }

    /** @throws FormatException when the case is in another cluster already */
    private static function group(RatingSet $into, string $file, int $line, string $case, string $cluster): void
    {
        if ($cluster === '') {
            return;
        }
        try {
            $into->group($case, $cluster);
        } catch (CoreException $e) {
            throw FormatException::at($file, $line, 'cluster', $e);
        }
    }

    /** A finite decimal number, or null. */
    public static function decimal(string $text): ?float
    {
        return Scale::decimal($text);
    }
}
