<?php

declare(strict_types=1);

namespace Core\Format;

use Core\Agreement\RatingSet;
use Core\CoreException;

/** Reads ratings.csv and key.csv of the published file contract. */
final class RatingsCsv
{
    /** @param  resource  $stream */
    public static function readRatings($stream, string $file, RatingSet $into): void
    {
        $table = new CsvTable($stream, $file);
        $at = $table->require(['case', 'rater', 'value']);
        $item = $table->position('item');
        $occasion = $table->position('occasion');
        $confidence = $table->position('confidence');
        foreach ($table->rows() as $line => $cells) {
            foreach (['case', 'rater'] as $name) {
                if ($cells[$at[$name]] === '') {
                    throw FormatException::at($file, $line, $name, 'the cell is empty');
                }
            }
            $sure = null;
            if ($confidence !== null && $cells[$confidence] !== '') {
                $sure = self::decimal($cells[$confidence]);
                if ($sure === null || $sure < 0.0 || $sure > 1.0) {
                    throw FormatException::at($file, $line, 'confidence', sprintf("'%s' is no number between 0 and 1", self::short($cells[$confidence])));
                }
            }
            $when = $occasion === null || $cells[$occasion] === '' ? '1' : $cells[$occasion];
            try {
                $into->add($cells[$at['case']], $item === null ? '' : $cells[$item], $cells[$at['rater']], $cells[$at['value']], $when, $sure);
            } catch (CoreException $e) {
                throw FormatException::at($file, $line, 'rater', $e->getMessage());
            }
        }
        if ($into->isEmpty()) {
            throw FormatException::in($file, 'line 2: there are no ratings below the header');
        }
    }

    /** @param  resource  $stream */
    public static function readKey($stream, string $file, RatingSet $into): void
    {
        $table = new CsvTable($stream, $file);
        $at = $table->require(['case', 'value']);
        $item = $table->position('item');
        foreach ($table->rows() as $line => $cells) {
            if ($cells[$at['case']] === '') {
                throw FormatException::at($file, $line, 'case', 'the cell is empty');
            }
            try {
                $into->addKey($cells[$at['case']], $item === null ? '' : $cells[$item], $cells[$at['value']]);
            } catch (CoreException $e) {
                throw FormatException::at($file, $line, 'case', $e->getMessage());
            }
        }
    }

    /** A finite decimal number, or null. */
    public static function decimal(string $text): ?float
    {
        // is_numeric() lets through all that the pattern does, and white space, which cells have lost; hex it does not.
        if (is_numeric($text) && strlen($text) < 24) {
            $v = (float) $text;

            return is_finite($v) ? $v : null;
        }

        return preg_match('/^[+-]?(\d+\.?\d*|\.\d+)([eE][+-]?\d{1,3})?$/', $text) === 1 && is_finite((float) $text) ? (float) $text : null;
    }

    public static function short(string $text): string
    {
        return mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;
    }
}
