<?php

declare(strict_types=1);

namespace Core\Format;

use Core\Agreement\AgreementException;
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
        foreach ($table->rows() as $line => $cells) {
            if ($cells[$at['case']] === '') {
                throw FormatException::at($file, $line, 'case', 'cell-empty');
            }
            try {
                $into->addKey($cells[$at['case']], $item === null ? '' : $cells[$item], $cells[$at['value']]);
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
