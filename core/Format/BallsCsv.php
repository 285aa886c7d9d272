<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;
use Core\Reading\BallFlight;

/**
 * What the balls of a session did, one a row. Angles in degrees, to the push side and upward positive; low point in cm
 * ahead of the ball. An empty cell is unknown.
 *
 * @phpstan-type Ball array{place: int, club: ?string, flight: BallFlight, note: ?string}
 */
final class BallsCsv
{
    public const COLUMNS = [
        'ball', 'club', 'start_deg', 'curve_deg', 'height', 'strike', 'low_point_cm', 'path_deg', 'attack_deg', 'turf',
        'note',
    ];

    private const NEEDED = ['ball', 'start_deg', 'curve_deg', 'height', 'strike'];

    private const NUMBERS = ['start_deg', 'curve_deg', 'low_point_cm', 'path_deg', 'attack_deg'];

    private const MOST = 500;

    /**
     * @param  resource  $stream
     * @return list<Ball>
     *
     * @throws FormatException naming the line and the column that is wrong
     */
    public static function read($stream, string $file): array
    {
        $csv = new CsvTable($stream, $file);
        $at = $csv->require(self::NEEDED);
        foreach (array_diff(self::COLUMNS, self::NEEDED) as $name) {
            $position = $csv->position($name);
            if ($position !== null) {
                $at[$name] = $position;
            }
        }
        $balls = $seen = [];
        foreach ($csv->rows() as $line => $cells) {
            $row = array_map(static fn (int $i): string => trim($cells[$i]), $at);
            $ball = self::ball($row, $file, $line);
            if (isset($seen[$ball['place']]) || count($balls) >= self::MOST) {
                throw FormatException::at($file, $line, 'ball', 'ball-again', ball: $ball['place']);
            }
            $seen[$ball['place']] = true;
            $balls[] = $ball;
        }

        return $balls;
    }

    /** @param  list<Ball>  $balls */
    public static function write(array $balls): string
    {
        $out = CsvWriter::row(self::COLUMNS);
        foreach ($balls as $ball) {
            $flight = $ball['flight']->toArray();
            $out .= CsvWriter::row([
                (string) $ball['place'],
                $ball['club'],
                ...array_map(
                    static fn (string $name): ?string => isset($flight[$name]) ? (string) $flight[$name] : null,
                    array_slice(self::COLUMNS, 2, 8),
                ),
                $ball['note'],
            ]);
        }

        return $out;
    }

    /**
     * @param  array<string, string>  $row
     * @return Ball
     *
     * @throws FormatException
     */
    private static function ball(array $row, string $file, int $line): array
    {
        if (preg_match('/^[1-9]\d{0,2}$/', $row['ball']) !== 1 || (int) $row['ball'] > self::MOST) {
            throw FormatException::at($file, $line, 'ball', 'no-ball', text: FormatException::short($row['ball']));
        }
        $flight = [];
        foreach (self::NUMBERS as $name) {
            $text = $row[$name] ?? '';
            $value = $text === '' ? null : RatingsCsv::decimal($text);
            if ($text !== '' && $value === null) {
                throw FormatException::at($file, $line, $name, 'no-number', cell: FormatException::short($text));
            }
            $flight[$name] = $value;
        }
        foreach (['height', 'strike', 'turf'] as $name) {
            $flight[$name] = ($row[$name] ?? '') === '' ? null : $row[$name];
        }
        try {
            $flight = BallFlight::fromArray(array_filter($flight, static fn (mixed $v): bool => $v !== null));
        } catch (CoreException $e) {
            throw FormatException::in($file, $e);
        }

        return [
            'place' => (int) $row['ball'],
            'club' => ($row['club'] ?? '') === '' ? null : mb_substr($row['club'], 0, 40),
            'flight' => $flight,
            'note' => ($row['note'] ?? '') === '' ? null : mb_substr($row['note'], 0, 200),
        ];
    }
}
