<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Consensus\CaseConsensus;
use Core\Consensus\DrillConsensus;
use Core\Consensus\SetTally;
use Core\Consensus\Tally;
use Core\Format\FormatException;

/** What a panel says together of a case, as it is kept. */
final class CaseConsensusJson
{
    /** @return array<string, mixed> */
    public static function write(CaseConsensus $c): array
    {
        return [
            'readers' => $c->readers,
            'causes' => self::set($c->causes),
            'chain' => self::set($c->chain),
            'priority' => self::tally($c->priority),
            'decisions' => self::tallies($c->decisions),
            'trends' => self::tallies($c->trends),
            'misses' => array_map(
                static fn (string $miss, float $percent): array => ['name' => $miss, 'percent' => $percent],
                array_keys($c->misses),
                $c->misses,
            ),
            'sound' => self::set($c->sound),
            'breaks' => $c->breaks === null ? null : self::tally($c->breaks),
            'drills' => self::counts($c->drills),
            'judged' => self::judged($c->judged),
        ];
    }

    /**
     * @param  array<string, array<string, DrillConsensus>>  $judged
     * @return list<array<string, mixed>>
     */
    private static function judged(array $judged): array
    {
        $out = [];
        foreach ($judged as $drill => $rungs) {
            foreach ($rungs as $rung => $d) {
                $out[] = [
                    'drill' => $drill,
                    'rung' => $rung,
                    'n' => $d->n,
                    'median' => $d->median,
                    'index' => $d->index,
                    'addsFault' => $d->addsFault,
                    'unsafe' => $d->unsafe,
                    'refused' => $d->refused,
                ];
            }
        }

        return $out;
    }

    /**
     * @param  array<string, Tally>  $of
     * @return list<array<string, mixed>>
     */
    private static function tallies(array $of): array
    {
        return array_map(
            static fn (string $fault, Tally $t): array => ['fault' => $fault, ...self::tally($t)],
            array_keys($of),
            array_values($of),
        );
    }

    /** @return array<string, mixed> */
    private static function tally(Tally $t): array
    {
        return ['counts' => self::counts($t->counts), 'n' => $t->n, 'settled' => $t->settled];
    }

    /** @return array<string, mixed> */
    private static function set(SetTally $t): array
    {
        return ['counts' => self::counts($t->counts), 'n' => $t->n, 'named' => $t->named, 'open' => $t->open];
    }

    /**
     * @param  array<string, int>  $counts
     * @return list<array{name: string, n: int}> in their order, which an object would lose
     */
    private static function counts(array $counts): array
    {
        return array_map(
            static fn (int|string $name, int $n): array => ['name' => (string) $name, 'n' => $n],
            array_keys($counts),
            $counts,
        );
    }

    /** @throws FormatException when it is not what write() makes */
    public static function read(mixed $data): CaseConsensus
    {
        $o = JsonObject::from($data, 'a key’s case');
        $misses = [];
        foreach ($o->objects('misses') as $miss) {
            $misses[$miss->text('name')] = $miss->number('percent');
        }
        $breaks = $o->optionalObject('breaks');

        return new CaseConsensus(
            $o->whole('readers'),
            self::readSet($o->object('causes')),
            self::readSet($o->object('chain')),
            self::readTally($o->object('priority')),
            self::readTallies($o->objects('decisions')),
            self::readTallies($o->objects('trends')),
            $misses,
            self::readSet($o->object('sound')),
            $breaks === null ? null : self::readTally($breaks),
            self::readCounts($o->objects('drills')),
            // Keys of before no drill was judged have none.
            $o->has('judged') ? self::readJudged($o->objects('judged')) : [],
        );
    }

    /**
     * @param  list<JsonObject>  $of
     * @return array<string, array<string, DrillConsensus>>
     *
     * @throws FormatException
     */
    private static function readJudged(array $of): array
    {
        $out = [];
        foreach ($of as $one) {
            $out[$one->text('drill')][$one->text('rung')] = new DrillConsensus(
                $one->whole('n'),
                $one->optionalNumber('median'),
                $one->optionalNumber('index'),
                $one->whole('addsFault'),
                $one->whole('unsafe'),
                $one->isTrue('refused'),
            );
        }

        return $out;
    }

    /**
     * @param  list<JsonObject>  $of
     * @return array<string, Tally>
     *
     * @throws FormatException
     */
    private static function readTallies(array $of): array
    {
        $out = [];
        foreach ($of as $one) {
            $out[$one->text('fault')] = self::readTally($one);
        }

        return $out;
    }

    /** @throws FormatException */
    private static function readTally(JsonObject $o): Tally
    {
        return new Tally(self::readCounts($o->objects('counts')), $o->whole('n'), $o->optionalText('settled', 120));
    }

    /** @throws FormatException */
    private static function readSet(JsonObject $o): SetTally
    {
        return new SetTally(
            self::readCounts($o->objects('counts')),
            $o->whole('n'),
            $o->texts('named'),
            $o->isTrue('open'),
        );
    }

    /**
     * @param  list<JsonObject>  $of
     * @return array<string, int>
     *
     * @throws FormatException
     */
    private static function readCounts(array $of): array
    {
        $out = [];
        foreach ($of as $one) {
            $out[$one->text('name', 120)] = $one->whole('n');
        }

        return $out;
    }
}
