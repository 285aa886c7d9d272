<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Figure;
use Core\Agreement\Study\ArmDifference;
use Core\Agreement\Study\ArmFigures;
use Core\Agreement\Study\RoundResult;
use Core\Format\FormatException;

/** What a staff round tells, as it is kept. Version 1 had words for reasons and for what was shown. */
final class RoundJson
{
    public const VERSION = 2;

    private const SHOWN_THEN = ['film only' => 'film', 'trace only' => 'trace', 'film and trace' => 'both'];

    /** @return array<string, mixed> */
    public static function write(RoundResult $r): array
    {
        $as = StudyJson::kept();

        return [
            'version' => self::VERSION,
            'study' => $r->study === null ? null : $as->study($r->study),
            'against_key' => $as->raters($r->againstKey),
            'map' => $r->map,
            'arms' => [
                'arms' => array_map(
                    static fn (ArmFigures $a): array => [
                        'arm' => $a->arm,
                        'cases' => $a->cases,
                        'ac1' => $a->ac1,
                        'same' => $a->same,
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
                    ],
                    $r->armDifferences,
                ),
            ],
            'left_out' => $r->leftOut,
            'cases' => $r->cases,
            'unsupported' => $r->unsupported,
            'cannot_tell' => $r->cannotTell,
            'key_version' => $r->keyVersion,
            'bootstrap' => $r->bootstrap,
            'seed' => $r->seed,
        ];
    }

    /** @throws \Core\Format\FormatException when it is not what this or an earlier release wrote */
    public static function read(mixed $data): RoundResult
    {
        $o = JsonObject::from($data, 'the figures of a round');
        $version = $o->has('version') ? $o->whole('version') : 1;
        if ($version > self::VERSION) {
            throw $o->wrong('version', 'version-unknown');
        }
        $arms = $o->optionalObject('arms');
        $study = $o->optionalObject('study');

        return new RoundResult(
            $study?->has('pooled') === true ? StudyJson::read($study->plain()) : null,
            StudyJson::readRaters($o, 'against_key'),
            self::map($o->object('map')),
            array_map(
                static fn (JsonObject $a): ArmFigures => new ArmFigures(
                    self::shown($a->text('arm')),
                    $a->whole('cases'),
                    $a->optionalNumber('ac1'),
                    $a->optionalNumber('same'),
                ),
                $arms?->objects('arms') ?? [],
            ),
            array_map(self::difference(...), $arms?->objects('differences') ?? []),
            self::counts($o->object('left_out')),
            $o->whole('cases'),
            self::counts($o->object('unsupported')),
            self::counts($o->object('cannot_tell')),
            $o->has('key_version') ? $o->whole('key_version') : null,
            $o->whole('bootstrap'),
            $o->whole('seed'),
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
        );
    }

    private static function shown(string $arm): string
    {
        return self::SHOWN_THEN[$arm] ?? $arm;
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
     * @return array<string, array<string, array{int, int, int, int}>>
     *
     * @throws FormatException
     */
    private static function map(JsonObject $of): array
    {
        $out = [];
        foreach ($of->members() as $rater => $items) {
            foreach ($items->members() as $item => $cells) {
                $out[$rater][$item] = [$cells->whole('0'), $cells->whole('1'), $cells->whole('2'), $cells->whole('3')];
            }
        }

        return $out;
    }
}
