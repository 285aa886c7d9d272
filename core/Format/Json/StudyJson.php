<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Agreement\Coefficient\MeanOverItems;
use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\Figure;
use Core\Agreement\Profile\PeopleInOrder;
use Core\Agreement\Profile\RankedPerson;
use Core\Agreement\Scale;
use Core\Agreement\Study\AbstentionResult;
use Core\Agreement\Study\ItemResult;
use Core\Agreement\Study\ItemSummary;
use Core\Agreement\Study\KeyErrorResult;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\ThreeWayResult;
use Core\Format\FormatException;
use Core\Remark\InWords;

/** What a study found: kept with codes, published with sentences beside them (docs/schemas/agreement.schema.json). */
final readonly class StudyJson
{
    /** @param  \Closure(Figure): array<string, mixed>  $figure */
    private function __construct(private \Closure $figure)
    {
    }

    /** For rows of the database. */
    public static function kept(): self
    {
        return new self(FigureJson::write(...));
    }

    /** For people and programs. */
    public static function published(InWords $words): self
    {
        return new self(static fn (Figure $f): array => FigureJson::publish($f, $words));
    }

    /** @return array{scale: string, confidence: float, bootstrap: int, seed: int} what was asked for */
    public function heading(Scale $scale, float $confidence, int $bootstrap, int $seed): array
    {
        return ['scale' => $scale->value, 'confidence' => $confidence, 'bootstrap' => $bootstrap, 'seed' => $seed];
    }

    /** @return array<string, mixed> */
    public function item(ItemResult $item): array
    {
        return [
            'cases' => $item->cases,
            'raters' => $item->raters,
            'ratings' => $item->ratings,
            'categories' => $item->categories,
            'specific_agreement' => (object) $this->figures($item->specific),
            'coefficients' => $this->figures($item->coefficients),
            'pairs' => $this->pairs($item->pairs),
            'undefined_pairs' => $item->undefinedPairs,
            'raters_vs_rest' => $this->versusRest($item->versusRest),
            'self' => $this->raters($item->self),
            'against_key' => $this->raters($item->againstKey),
            ...$this->threeWay($item->threeWay),
            ...($item->abstention === null ? [] : ['abstention' => [
                'specific_agreement' => (object) $this->figures($item->abstention->specific),
                'coefficients' => $this->figures($item->abstention->coefficients),
                'against_key' => $this->raters($item->abstention->againstKey),
            ]]),
            ...$this->mean($item->mean),
            ...($item->order === null ? [] : ['order' => self::order($item->order)]),
            ...($item->keyError === null ? [] : ['key_error' => $this->keyError($item->keyError)]),
        ];
    }

    /** @return array<string, mixed> */
    public function keyError(KeyErrorResult $of): array
    {
        return [
            'questions' => $of->questions,
            'settled' => $of->settled,
            'panel' => [
                'prevalence' => $of->prevalence,
                'sensitivity' => $of->sensitivity,
                'specificity' => $of->specificity,
            ],
            'raters' => $this->raters($of->raters),
        ];
    }

    /** @throws FormatException when it is not what keyError() makes */
    public static function readKeyError(?JsonObject $o): ?KeyErrorResult
    {
        return $o === null ? null : new KeyErrorResult(
            $o->whole('questions'),
            $o->whole('settled'),
            $o->object('panel')->number('prevalence'),
            $o->object('panel')->number('sensitivity'),
            $o->object('panel')->number('specificity'),
            self::readRaters($o, 'raters'),
        );
    }

    /** @return array{design_effect: float, draws: int, raters: list<array<string, mixed>>} */
    public static function order(PeopleInOrder $order): array
    {
        return [
            'design_effect' => $order->designEffect,
            'draws' => PeopleInOrder::DRAWS,
            'raters' => array_map(static fn (RankedPerson $p): array => [
                'rater' => $p->rater,
                'n' => $p->n,
                'rate' => $p->rate,
                'shrunken' => $p->shrunken,
                'rank_low' => $p->best,
                'rank_high' => $p->worst,
            ], $order->people),
        ];
    }

    /** @throws FormatException when it is not what order() makes */
    public static function readOrder(?JsonObject $o): ?PeopleInOrder
    {
        return $o === null ? null : new PeopleInOrder(
            array_map(static fn (JsonObject $p): RankedPerson => new RankedPerson(
                $p->text('rater', 400),
                $p->whole('n'),
                $p->number('rate'),
                $p->number('shrunken'),
                $p->whole('rank_low'),
                $p->whole('rank_high'),
            ), $o->objects('raters')),
            $o->number('design_effect'),
        );
    }

    /** @return array<string, mixed> */
    public function summary(ItemSummary $item): array
    {
        return [
            'cases' => $item->cases,
            'specific_agreement' => (object) $this->figures($item->specific),
            'coefficients' => $this->figures($item->coefficients),
            ...$this->threeWay($item->threeWay),
            ...$this->mean($item->mean),
        ];
    }

    /** @return array<string, mixed> nothing where there is one item */
    private function mean(?MeanOverItems $mean): array
    {
        return $mean === null ? [] : ['mean_over_items' => [
            'specific_agreement' => (object) $this->figures($mean->specific),
            'coefficients' => $this->figures($mean->coefficients),
        ]];
    }

    /**
     * @param  array<string, Figure>  $kappas  mean κ with the others, by rater
     * @return list<array{rater: string, mean_kappa: array<string, mixed>}>
     */
    public function versusRest(array $kappas): array
    {
        return array_map(
            fn (int|string $rater, Figure $kappa): array => [
                'rater' => (string) $rater,
                'mean_kappa' => ($this->figure)($kappa),
            ],
            array_keys($kappas),
            $kappas,
        );
    }

    /**
     * @param  list<PairResult>  $pairs
     * @return list<array<string, mixed>>
     */
    public function pairs(array $pairs): array
    {
        return array_map($this->pair(...), $pairs);
    }

    /** @return array<string, mixed> nothing where it was not asked for */
    private function threeWay(?ThreeWayResult $three): array
    {
        return $three === null ? [] : [
            'three_way' => [
                'categories' => $three->categories,
                'specific_agreement' => (object) $this->figures($three->specific),
                'coefficients' => $this->figures($three->coefficients),
            ],
        ];
    }

    /**
     * @param  list<RaterResult>  $raters
     * @return list<array<string, mixed>>
     */
    public function raters(array $raters): array
    {
        return array_map(
            fn (RaterResult $r): array => ['rater' => $r->rater, 'n' => $r->n, ...$this->figures($r->figures)],
            $raters,
        );
    }

    /** @return array<string, mixed> */
    private function pair(PairResult $p): array
    {
        return [
            'a' => $p->a,
            'b' => $p->b,
            'n' => $p->n,
            'percent_agreement' => $p->agreement,
            'cohen_kappa' => ($this->figure)($p->kappa),
            'pabak' => ($this->figure)($p->pabak),
            'prevalence_index' => $p->prevalenceIndex,
            'bias_index' => $p->biasIndex,
            ...$this->figures($p->differences),
        ];
    }

    /**
     * @param  array<string, Figure>  $figures
     * @return array<string, array<string, mixed>>
     */
    private function figures(array $figures): array
    {
        return array_map($this->figure, $figures);
    }

    /** @throws FormatException when it is not what item() makes */
    public static function readItem(mixed $data): ItemResult
    {
        $o = JsonObject::from($data, 'an item');

        return new ItemResult(
            $o->whole('cases'),
            $o->whole('raters'),
            $o->whole('ratings'),
            $o->texts('categories'),
            self::readFigures($o->object('coefficients')),
            self::readFigures($o->object('specific_agreement')),
            self::readPairs($o, 'pairs'),
            $o->whole('undefined_pairs'),
            self::readVersusRest($o, 'raters_vs_rest'),
            self::readRaters($o, 'self'),
            self::readRaters($o, 'against_key'),
            self::readThreeWay($o),
            self::readAbstention($o->optionalObject('abstention')),
            self::readMean($o->optionalObject('mean_over_items')),
            self::readOrder($o->optionalObject('order')),
            self::readKeyError($o->optionalObject('key_error')),
        );
    }

    /** @throws FormatException */
    private static function readAbstention(?JsonObject $o): ?AbstentionResult
    {
        return $o === null ? null : new AbstentionResult(
            self::readFigures($o->object('coefficients')),
            self::readFigures($o->object('specific_agreement')),
            self::readRaters($o, 'against_key'),
        );
    }

    /** @throws FormatException */
    private static function readMean(?JsonObject $o): ?MeanOverItems
    {
        return $o === null ? null : new MeanOverItems(
            self::readFigures($o->object('coefficients')),
            self::readFigures($o->object('specific_agreement')),
        );
    }

    /** @throws FormatException when it is not what summary() makes */
    public static function readSummary(JsonObject $o): ItemSummary
    {
        return new ItemSummary(
            $o->whole('cases'),
            self::readFigures($o->object('coefficients')),
            self::readFigures($o->object('specific_agreement')),
            self::readThreeWay($o),
            self::readMean($o->optionalObject('mean_over_items')),
        );
    }

    /**
     * @return array<string, Figure> by rater
     *
     * @throws FormatException
     */
    public static function readVersusRest(JsonObject $of, string $name): array
    {
        $versus = [];
        foreach ($of->objects($name) as $r) {
            $versus[$r->text('rater', 400)] = FigureJson::read($r->object('mean_kappa')->plain());
        }

        return $versus;
    }

    /**
     * @return list<PairResult>
     *
     * @throws FormatException
     */
    public static function readPairs(JsonObject $of, string $name): array
    {
        return array_map(self::readPair(...), $of->objects($name));
    }

    /** @throws FormatException */
    private static function readThreeWay(JsonObject $o): ?ThreeWayResult
    {
        $three = $o->optionalObject('three_way');

        return $three === null
            ? null
            : new ThreeWayResult(
                $three->texts('categories'),
                self::readFigures($three->object('coefficients')),
                self::readFigures($three->object('specific_agreement')),
            );
    }

    /**
     * @return list<RaterResult>
     *
     * @throws FormatException
     */
    public static function readRaters(JsonObject $of, string $name): array
    {
        return array_map(
            static fn (JsonObject $r): RaterResult => new RaterResult(
                $r->text('rater', 400),
                $r->whole('n'),
                self::readFigures($r, ['rater', 'n']),
            ),
            $of->objects($name),
        );
    }

    /** @throws FormatException */
    private static function readPair(JsonObject $p): PairResult
    {
        return new PairResult(
            $p->text('a', 400),
            $p->text('b', 400),
            $p->whole('n'),
            $p->optionalNumber('percent_agreement'),
            FigureJson::read($p->object('cohen_kappa')->plain()),
            FigureJson::read($p->object('pabak')->plain()),
            $p->optionalNumber('prevalence_index'),
            $p->optionalNumber('bias_index'),
            self::readFigures($p, [
                'a',
                'b',
                'n',
                'percent_agreement',
                'cohen_kappa',
                'pabak',
                'prevalence_index',
                'bias_index',
            ]),
        );
    }

    /**
     * @param  list<string>  $except  members that are no figures
     * @return array<string, Figure>
     *
     * @throws FormatException
     */
    private static function readFigures(JsonObject $of, array $except = []): array
    {
        $out = [];
        foreach (array_diff($of->names(), $except) as $name) {
            $out[$name] = FigureJson::read($of->object($name)->plain());
        }

        return $out;
    }
}
