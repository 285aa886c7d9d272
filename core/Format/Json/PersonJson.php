<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Profile\AnsweredCurve;
use Core\Agreement\Profile\LatentRates;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\Study\PersonResult;
use Core\Format\FormatException;

/** What a round tells of one person, as it is kept: calls packed as [item, called, truth, confidence or null, others
 * who called it present or null]. */
final class PersonJson
{
    /** @return array<string, mixed> */
    public static function write(PersonResult $person): array
    {
        $cases = [];
        foreach ($person->calls as $case => $calls) {
            $cases[] = ['case' => $case, 'calls' => array_map(
                static fn (ScoredCall $c): array => [
                    $c->item, (int) $c->called, (int) $c->truth, $c->confidence, $c->others,
                ],
                $calls,
            ), ...($calls[0]->golfer ?? null) === null ? [] : ['golfer' => $calls[0]->golfer]];
        }
        $latent = $person->latent;

        return [
            'cases' => $cases,
            'latent' => $latent === null ? null : [
                'hit' => $latent->hit,
                'alarm' => $latent->alarm,
                'prevalence' => $latent->prevalence,
                'converged' => $latent->converged,
                'starts' => $latent->starts,
                'of' => $latent->of,
                'separated' => $latent->separated,
            ],
            'pairs' => StudyJson::kept()->pairs($person->pairs),
            'curve' => $person->curve === null ? null : [
                'questions' => $person->curve->questions,
                'answered' => $person->curve->answered,
                'half' => $person->curve->half,
                'points' => array_map(
                    static fn (int $share, float $right): array => [
                        'percent' => $share,
                        'right' => $right,
                        'others' => $person->curve->others[$share] ?? null,
                    ],
                    array_keys($person->curve->right),
                    $person->curve->right,
                ),
            ],
        ];
    }

    /**
     * @param  \Closure(int): string  $name  what a case is called
     *
     * @throws FormatException when it is not what write() makes
     */
    public static function read(mixed $data, \Closure $name): PersonResult
    {
        $o = JsonObject::from($data, 'a round’s person');
        $calls = [];
        foreach ($o->objects('cases') as $of) {
            $case = $of->whole('case');
            $calls[$case] = self::calls($of, $name($case), $of->optionalText('golfer', 40));
        }
        $latent = $o->optionalObject('latent');

        return new PersonResult(
            $calls,
            $latent === null ? null : new LatentRates(
                $latent->number('hit'),
                $latent->number('alarm'),
                $latent->number('prevalence'),
                $latent->isTrue('converged'),
                $latent->whole('starts'),
                $latent->whole('of'),
                $latent->isTrue('separated'),
            ),
            StudyJson::readPairs($o, 'pairs'),
            self::curve($o->optionalObject('curve')),
        );
    }

    /** @throws FormatException */
    private static function curve(?JsonObject $o): ?AnsweredCurve
    {
        if ($o === null) {
            return null;
        }
        $right = $others = [];
        foreach ($o->objects('points') as $point) {
            $share = $point->whole('percent');
            $right[$share] = $point->number('right');
            $theirs = $point->optionalNumber('others');
            if ($theirs !== null) {
                $others[$share] = $theirs;
            }
        }

        return new AnsweredCurve($o->whole('questions'), $o->whole('answered'), $o->number('half'), $right, $others);
    }

    /**
     * @return list<ScoredCall>
     *
     * @throws FormatException
     */
    private static function calls(JsonObject $of, string $case, ?string $golfer): array
    {
        $said = $of->plain()['calls'] ?? null;
        $out = [];
        foreach (is_array($said) ? $said : [null] as $call) {
            $call = is_array($call) ? $call : [];
            $item = $call[0] ?? null;
            $called = $call[1] ?? null;
            $truth = $call[2] ?? null;
            $sure = $call[3] ?? null;
            $others = $call[4] ?? null;
            if (! is_string($item) || ! is_int($called) || ! is_int($truth)) {
                throw $of->wrong('calls', 'must-be-list');
            }
            $sure = is_int($sure) ? (float) $sure : $sure;
            $out[] = new ScoredCall($case, $item, $called === 1, $truth === 1, is_float($sure) ? $sure : null, $golfer,
                is_numeric($others) ? (float) $others : null);
        }

        return $out;
    }
}
