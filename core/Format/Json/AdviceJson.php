<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Figure;
use Core\Agreement\Study\AdviceResult;
use Core\Format\FormatException;

/** Whether readers would do the same, as it is kept. */
final class AdviceJson
{
    private const AMONG = ['causes', 'overlap', 'chain', 'priority', 'decision', 'drill'];

    private const SETTLED = ['causes', 'chain', 'priority', 'decision', 'drill'];

    /** @return array<string, mixed> */
    public static function write(AdviceResult $r): array
    {
        return [
            'cases' => $r->cases,
            'readers' => $r->readers,
            'settled' => $r->settled,
            'among' => array_map(static fn (Figure $f): array => FigureJson::write($f), $r->among),
            'beside' => StudyJson::kept()->raters($r->beside),
        ];
    }

    /** @throws FormatException when it is not what write() makes */
    public static function read(mixed $data): AdviceResult
    {
        $o = JsonObject::from($data, 'a round’s advice');
        [$settled, $among] = [$o->object('settled'), $o->object('among')];
        $counts = $figures = [];
        foreach (self::SETTLED as $what) {
            // Those of before drills were judged do not tell of them.
            $counts += $settled->has($what) ? [$what => $settled->whole($what)] : [];
        }
        foreach (self::AMONG as $what) {
            $figures += $among->has($what) ? [$what => FigureJson::read($among->object($what)->plain())] : [];
        }

        return new AdviceResult(
            $o->whole('cases'),
            $o->whole('readers'),
            $counts,
            $figures,
            StudyJson::readRaters($o, 'beside'),
        );
    }
}
