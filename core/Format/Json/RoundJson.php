<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Figure;
use Core\Agreement\Profile\CaseTalk;
use Core\Agreement\Study\ArmDifference;
use Core\Agreement\Study\ArmFigures;
use Core\Agreement\Study\ArmResult;
use Core\Agreement\Study\Change;
use Core\Agreement\Study\RoundChange;
use Core\Agreement\Study\RoundSummary;
use Core\Agreement\Study\StationTimes;
use Core\Format\FormatException;
use Core\Motion\Station;

/**
 * What a staff round tells, as it is kept: part by part, each read by itself. Version 1 had words for reasons and for
 * what was shown; up to version 2 all of it was one document;
 * version 4 has rounds on one scale and how right each is where surest.
 */
final class RoundJson
{
    public const VERSION = 4;

    private const SHOWN_THEN = ['film only' => 'film', 'trace only' => 'trace', 'film and trace' => 'both'];

    /** @return array<string, mixed> */
    public static function summary(RoundSummary $r): array
    {
        $as = StudyJson::kept();
        $items = [];
        foreach ($r->items as $name => $item) {
            $items[] = ['item' => (string) $name, ...$as->summary($item)];
        }

        return [
            'pooled' => $r->pooled === null ? null : $as->summary($r->pooled),
            'items' => $items,
            'raters_vs_rest' => $as->versusRest($r->versusRest),
            'against_key' => $as->raters($r->againstKey),
            'counted_wrong' => $as->raters($r->countedWrong),
            'order' => $r->order === null ? null : StudyJson::order($r->order),
            'key_error' => $r->keyError === null ? null : $as->keyError($r->keyError),
            'left_out' => $r->leftOut,
            'cases' => $r->cases,
            'unsupported' => $r->unsupported,
            'cannot_tell' => $r->cannotTell,
            'key_version' => $r->keyVersion,
            'bootstrap' => $r->bootstrap,
            'seed' => $r->seed,
        ];
    }

    /** @throws FormatException when it is not what this or an earlier release wrote */
    public static function readSummary(mixed $data): RoundSummary
    {
        $o = JsonObject::from($data, 'a round’s figures');
        $pooled = $o->optionalObject('pooled');
        $items = [];
        foreach ($o->objects('items') as $item) {
            $items[$item->text('item', 400)] = StudyJson::readSummary($item);
        }

        return new RoundSummary(
            $pooled === null ? null : StudyJson::readSummary($pooled),
            $items,
            StudyJson::readVersusRest($o, 'raters_vs_rest'),
            StudyJson::readRaters($o, 'against_key'),
            self::counts($o->object('left_out')),
            $o->whole('cases'),
            self::counts($o->object('unsupported')),
            self::counts($o->object('cannot_tell')),
            $o->has('key_version') ? $o->whole('key_version') : null,
            $o->whole('bootstrap'),
            $o->whole('seed'),
            $o->has('counted_wrong') ? StudyJson::readRaters($o, 'counted_wrong') : [],
            StudyJson::readOrder($o->optionalObject('order')),
            StudyJson::readKeyError($o->optionalObject('key_error')),
        );
    }

    /** @return array<string, mixed> */
    public static function arms(ArmResult $r): array
    {
        return [
            'arms' => array_map(
                static fn (ArmFigures $a): array => [
                    'arm' => $a->arm,
                    'cases' => $a->cases,
                    'ac1' => $a->ac1,
                    'same' => $a->same,
                    'sensitivity' => $a->sensitivity,
                    'specificity' => $a->specificity,
                ],
                $r->arms,
            ),
            'differences' => array_map(
                static fn (ArmDifference $d): array => [
                    'first' => $d->first,
                    'second' => $d->second,
                    'difference' => FigureJson::write($d->difference),
                    'p' => $d->p,
                    'detectable' => $d->detectable,
                    'figure' => $d->figure,
                ],
                $r->differences,
            ),
            'crossed' => $r->crossed,
        ];
    }

    /** @throws FormatException when it is not what this or an earlier release wrote */
    public static function readArms(mixed $data): ArmResult
    {
        $o = JsonObject::from($data, 'a round’s arms');

        return new ArmResult(
            array_map(
                static fn (JsonObject $a): ArmFigures => new ArmFigures(
                    self::shown($a->text('arm')),
                    $a->whole('cases'),
                    $a->optionalNumber('ac1'),
                    $a->optionalNumber('same'),
                    $a->optionalNumber('sensitivity'),
                    $a->optionalNumber('specificity'),
                ),
                $o->objects('arms'),
            ),
            array_map(self::difference(...), $o->objects('differences')),
            $o->has('crossed') && $o->isTrue('crossed'),
        );
    }

    /** @throws FormatException */
    private static function difference(JsonObject $d): ArmDifference
    {
        $figure = match (true) {
            $d->has('difference') => FigureJson::read($d->object('difference')->plain()),
            $d->has('estimate') => new Figure(
                $d->number('estimate'),
                null,
                $d->optionalNumber('low'),
                $d->optionalNumber('high'),
                '',
                null,
            ),
            default => Figure::undefined(RemarkJson::read($d->text('reason', 400))),
        };

        return new ArmDifference(
            self::shown($d->text('first')),
            self::shown($d->text('second')),
            $figure,
            $d->optionalNumber('p'),
            $d->optionalNumber('detectable'),
            $d->optionalText('figure') ?? 'gwet_ac1',
        );
    }

    private static function shown(string $arm): string
    {
        return self::SHOWN_THEN[$arm] ?? $arm;
    }

    /** @return array<string, mixed> */
    public static function change(RoundChange $c): array
    {
        return [
            'people' => $c->people,
            'anchors' => $c->anchors,
            'golfers' => $c->golfers,
            'present' => self::moved($c->present),
            'ac1' => self::moved($c->ac1),
            'scale' => $c->scale === null ? null : FacetJson::writeRounds($c->scale),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function moved(?Change $c): ?array
    {
        return $c === null ? null : [
            'first' => $c->first,
            'second' => $c->second,
            'difference' => FigureJson::write($c->difference),
            'p' => $c->p,
            'adjusted' => $c->adjusted,
            'detectable' => $c->detectable,
        ];
    }

    /** @throws FormatException when it is not what change() makes */
    public static function readChange(mixed $data): RoundChange
    {
        $o = JsonObject::from($data, 'a round’s change');

        return new RoundChange(
            $o->whole('people'),
            $o->whole('anchors'),
            $o->whole('golfers'),
            self::readMoved($o->optionalObject('present')),
            self::readMoved($o->optionalObject('ac1')),
            FacetJson::readRounds($o->optionalObject('scale')),
        );
    }

    /** @throws FormatException */
    private static function readMoved(?JsonObject $o): ?Change
    {
        return $o === null ? null : new Change(
            $o->optionalNumber('first'),
            $o->optionalNumber('second'),
            FigureJson::read($o->object('difference')->plain()),
            $o->optionalNumber('p'),
            $o->optionalNumber('adjusted'),
            $o->optionalNumber('detectable'),
        );
    }

    /**
     * @param  list<StationTimes>  $times
     * @return array{stations: list<array<string, mixed>>}
     */
    public static function times(array $times): array
    {
        return ['stations' => array_map(static fn (StationTimes $t): array => [
            'station' => $t->station->value,
            'people' => StudyJson::kept()->raters($t->people),
            'cases' => $t->cases,
            'readers' => $t->readers,
            'between' => $t->between,
            'within' => $t->within,
            'reason' => RemarkJson::orNull($t->reason),
            'mean_of' => array_map(
                static fn (int $readers, float $ms): array => ['readers' => $readers, 'ms' => $ms],
                array_keys($t->meanOf),
                $t->meanOf,
            ),
        ], $times)];
    }

    /**
     * @return list<StationTimes>
     *
     * @throws FormatException when it is not what times() makes
     */
    public static function readTimes(mixed $data): array
    {
        return array_map(static function (JsonObject $o): StationTimes {
            $mean = [];
            foreach ($o->objects('mean_of') as $of) {
                $mean[$of->whole('readers')] = $of->number('ms');
            }

            return new StationTimes(
                $o->one(Station::class, 'station'),
                StudyJson::readRaters($o, 'people'),
                $o->whole('cases'),
                $o->whole('readers'),
                $o->optionalNumber('between'),
                $o->optionalNumber('within'),
                RemarkJson::readOrNull($o->plain()['reason'] ?? null),
                $mean,
            );
        }, JsonObject::from($data, 'a round’s times')->objects('stations'));
    }

    /**
     * @param  list<CaseTalk>  $talk
     * @return array{cases: list<array{case: int, weight: float, item: ?string}>}
     */
    public static function talk(array $talk): array
    {
        return ['cases' => array_map(
            static fn (CaseTalk $t): array => ['case' => $t->case, 'weight' => $t->weight, 'item' => $t->item],
            $talk,
        )];
    }

    /**
     * @return list<CaseTalk>
     *
     * @throws FormatException when it is not what talk() makes
     */
    public static function readTalk(mixed $data): array
    {
        return array_map(
            static fn (JsonObject $o): CaseTalk => new CaseTalk(
                $o->whole('case'),
                $o->number('weight'),
                $o->optionalText('item', 400),
            ),
            JsonObject::from($data, 'a round’s talk')->objects('cases'),
        );
    }

    /**
     * @return array<string, int>
     *
     * @throws FormatException
     */
    private static function counts(JsonObject $of): array
    {
        $out = [];
        foreach ($of->names() as $name) {
            $out[$name] = $of->whole($name);
        }

        return $out;
    }

    /**
     * Counts against the key, tp, fn, fp and tn by rater and item, as they were kept.
     *
     * @return array<string, array<string, array{int, int, int, int}>>
     *
     * @throws FormatException
     */
    public static function readMap(mixed $data): array
    {
        $out = [];
        foreach (JsonObject::from($data, 'a round’s map')->members() as $rater => $items) {
            foreach ($items->members() as $item => $cells) {
                $out[$rater][$item] = [$cells->whole('0'), $cells->whole('1'), $cells->whole('2'), $cells->whole('3')];
            }
        }

        return $out;
    }
}
